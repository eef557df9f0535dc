"""Ladders: rungs, steps, gaps, bridges, and where an athlete stands on them."""
