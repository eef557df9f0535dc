"""Movements that coaches make."""
