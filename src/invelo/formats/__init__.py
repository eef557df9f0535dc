"""Open formats: what goes in and out as text."""
