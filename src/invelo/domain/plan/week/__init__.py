"""A week: which day holds what, how well that serves, and what to relax where nothing fits."""
