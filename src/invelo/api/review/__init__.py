"""Routes of proposals and trends."""
