"""Coaches: accounts, sign-in and its brake."""
