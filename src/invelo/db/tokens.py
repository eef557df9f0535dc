"""Secret tokens: told once, of which only a hash is kept."""

import secrets
from hashlib import sha256

TOKEN_BYTES = 32


def new_token() -> str:
    """A token nobody can guess, fit to stand in an address."""
    return secrets.token_urlsafe(TOKEN_BYTES)


def digest(text: str) -> str:
    """What is kept of a token: its SHA-256, in hexadecimal."""
    return sha256(text.encode()).hexdigest()
