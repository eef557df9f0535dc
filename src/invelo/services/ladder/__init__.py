"""Ladders made, measured, edited and prescribed on."""
