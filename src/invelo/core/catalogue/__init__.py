"""Movements and ready ladders as data (TOML), read by `invelo.core.movement`."""
