"""A coach's places, kit and bands."""
