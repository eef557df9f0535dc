"""What is to be done: prescriptions by method, sessions, weeks, the daily minimum."""
