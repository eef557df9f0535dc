"""The athlete as kept: person, screen, readiness, tests, capacity, placements."""
