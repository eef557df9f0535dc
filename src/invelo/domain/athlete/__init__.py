"""The person: availability, screen, readiness, tests and their results."""
