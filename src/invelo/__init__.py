"""Invelo: bodyweight progression ladders, drawn to scale."""

__version__ = "0.6.0"
