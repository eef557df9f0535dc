"""Shapes of the body: where every joint is, and what the body touches."""

from invelo.core.posture.skeleton import Contact, Posture

__all__ = ["Contact", "Posture"]
