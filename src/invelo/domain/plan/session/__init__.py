"""A session: what is done in it, how long it takes, in which order, and what it adds up to."""
