"""Long work beside the requests: solving a week, comparing plans, reading a large file in."""
