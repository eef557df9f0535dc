"""Plans compared on simulated athletes."""
