"""Routes of places, kit, bands and the load cell."""
