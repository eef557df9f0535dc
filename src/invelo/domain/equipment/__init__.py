"""Kit and places, loads to hand, and the load cell that measures bands."""
