"""Weeks, sessions, the daily minimum and calendar feeds."""
