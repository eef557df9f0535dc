"""Long work beside the requests: solving a week, comparing plans."""
