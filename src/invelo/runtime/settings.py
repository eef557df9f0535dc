"""Settings, read from the environment (`INVELO_…`)."""

from pathlib import Path
from typing import Literal

from pydantic import Field
from pydantic_settings import BaseSettings, SettingsConfigDict

Security = Literal["starttls", "tls", "none"]
"""How the line to a mail server is kept from others."""

ROOT = Path(__file__).resolve().parents[3]
"""The checkout."""


class Settings(BaseSettings):
    """What differs from one installation to the next."""

    model_config = SettingsConfigDict(env_prefix="INVELO_")

    database_url: str = Field(
        "", description="PostgreSQL address. Empty: a server of this checkout's own is started."
    )
    data_dir: Path | None = Field(
        None, description="Where the data of servers of this checkout's own lie. Empty: in it."
    )
    host: str = Field("127.0.0.1", description="Address to listen on.")
    port: int = Field(8400, ge=1, le=65535, description="Port to listen on.")
    allowed_hosts: list[str] = Field(
        ["127.0.0.1", "localhost", "[::1]"],
        description='Host names the service answers to, as JSON: ["coach.example"].',
    )
    secure_cookies: bool = Field(
        False,
        description="HTTPS is in front: cookies go over it only, bound to this host, and browsers "
        "are told to use nothing else.",
    )
    proxies: list[str] = Field(
        [],
        description="Addresses of reverse proxies whose X-Forwarded-For is believed, as JSON. "
        "Empty: nobody's is.",
    )
    session_hours: int = Field(24 * 14, ge=1, description="Hours until a coach signs in again.")
    scale_url: str = Field(
        "",
        description="WebSocket address of a hanging scale. Empty: the simulated one ships here.",
    )
    motion_url: str = Field(
        "",
        description="WebSocket address of a motion sensor. Empty: the simulated one ships here.",
    )
    nightly: bool = Field(
        True, description="Review each athlete's week by itself in the night after it ends."
    )
    mail_server: str = Field(
        "", description="Mail server for letters to coaches, host:port. Empty: none goes out."
    )
    mail_from: str = Field("Invelo <invelo@localhost>", description="Whose name is on letters.")
    mail_security: Security = Field(
        "starttls", description="Of the line to it: starttls, tls, or none on this machine."
    )
    mail_user: str = Field("", description="To sign in with there; empty where it asks nobody.")
    mail_password: str = ""
    public_address: str = Field(
        "", description="What links in letters begin with; empty: http:// with host and port."
    )
    metrics_token: str = Field(
        "", description="Whoever holds it reads /metrics; empty: only this machine does."
    )
    slow_statement_ms: float = Field(
        500.0, ge=0, description="Statements that take longer are logged. 0: none is."
    )
    web_dist: Path = Field(ROOT / "web" / "dist", description="The built front end.")

    @property
    def address(self) -> str:
        """What links to the service begin with."""
        return self.public_address.rstrip("/") or f"http://{self.host}:{self.port}"
