"""Routes of ladders and the workshop."""
