"""Queries by part: what the use cases ask of the tables. Rows in, rows out; no rules."""
