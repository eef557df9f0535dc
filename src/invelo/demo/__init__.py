"""A touring puppet theatre, its crew and four weeks of their training: all invented."""
