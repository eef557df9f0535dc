"""Running it: the command line, settings, the server, and a PostgreSQL of its own."""
