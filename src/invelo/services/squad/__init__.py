"""The squad and who needs the coach first."""
