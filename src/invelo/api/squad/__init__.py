"""Routes of the squad."""
