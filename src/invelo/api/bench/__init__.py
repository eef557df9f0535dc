"""Routes of the Bench."""
