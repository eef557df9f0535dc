"""Statics of the body: segments, postures, and the loads and torques a set-up asks for."""
