"""A review as print, a block as Markdown."""
