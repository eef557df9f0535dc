"""Counting by a motion sensor: joint angles over time to reps, depth, tempo and the body's line."""
