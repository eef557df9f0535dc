"""Logs and tests as CSV."""
