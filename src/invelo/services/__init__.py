"""Use cases: what one request or command does, in one transaction."""
