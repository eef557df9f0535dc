"""Ratios against a named reference of the same run."""
