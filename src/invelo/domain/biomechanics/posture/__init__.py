"""Shapes of the body: where every joint is, and what the body touches."""
