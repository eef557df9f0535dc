"""A week as JSON, Markdown, iCalendar and print."""
