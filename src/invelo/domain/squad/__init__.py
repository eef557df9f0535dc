"""Who needs the coach first."""
