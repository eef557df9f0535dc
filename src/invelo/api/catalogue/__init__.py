"""Routes of the catalogue."""
