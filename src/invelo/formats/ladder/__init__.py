"""A ladder as JSON, Markdown and SVG."""
