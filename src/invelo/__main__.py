"""`python -m invelo`: the command line."""

from invelo.runtime.cli import app

app()
