"""Postures as data, a page for each kind of support."""
