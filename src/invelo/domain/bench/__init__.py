"""Two set-ups of one body side by side, and what would make them equal."""
