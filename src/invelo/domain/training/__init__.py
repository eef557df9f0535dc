"""What is done: check-in, the run of a session, the log, counting by a sensor."""
