"""Invelo: bodyweight progression ladders, drawn to scale."""

__version__ = "0.4.0"
