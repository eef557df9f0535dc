"""Routes of intake: person, screen, readiness, tests, placement."""
