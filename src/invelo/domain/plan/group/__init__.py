"""One session for several people, each on their own rung, and the clock they share."""
