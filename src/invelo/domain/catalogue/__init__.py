"""Movements, ready ladders, sessions, tests and norms, checked as they are read."""
