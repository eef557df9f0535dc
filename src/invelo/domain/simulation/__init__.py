"""Simulated athletes, and plans tried on the same of them.

A stand-in for people: two-component fitness and fatigue, noise, skips and pain. Its laws are ours
where no source is named; it serves to compare plans with each other, and says nothing of anyone.
"""
