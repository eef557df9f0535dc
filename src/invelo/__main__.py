"""`python -m invelo`: the command line."""

from invelo.cli import app

app()
