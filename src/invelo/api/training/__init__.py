"""Routes of the floor: what a device takes along and sends back."""
