"""Devices: the line protocol they speak, and the simulated stand-ins that ship with the product."""
