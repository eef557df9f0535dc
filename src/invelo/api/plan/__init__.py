"""Routes of weeks, sessions and the daily minimum."""
