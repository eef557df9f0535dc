"""The person: wishes, screen, readiness, tests and their results."""
