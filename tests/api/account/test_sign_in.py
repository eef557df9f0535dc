"""Signing in and out, and the brake on guessing."""

import pytest
from sqlmodel import Session, select

from invelo.api.common.context import SESSION_COOKIE
from invelo.db.database import transaction
from invelo.db.tables.account import AccountRow, SignInRow
from invelo.services.account import accounts
from invelo.services.account.accounts import TRIES_PER_ADDRESS, TRIES_PER_MACHINE
from tests.api.coach import EMAIL, PASSWORD, problem


def sign_in(client, email: str = EMAIL, password: str = PASSWORD):
    return client.post("/api/sign-in", json={"email": email, "password": password})


def test_nobody_is_let_in_without_signing_in(new_client) -> None:
    for path in ("/api/me", "/api/squad", "/api/catalogue"):
        assert problem(new_client().get(path), 401)["remedy"] == "Sign in."


def test_a_signed_in_coach_is_known(coach) -> None:
    me = coach.get("/api/me")
    assert me["email"] == EMAIL
    assert "password" not in str(me)


def test_the_address_may_be_written_in_capitals(coach, new_client) -> None:
    assert sign_in(new_client(), f" {EMAIL.upper()} ").status_code == 200


def test_the_cookie_is_kept_from_scripts_and_other_sites(coach, new_client) -> None:
    cookie = sign_in(new_client()).headers["set-cookie"].lower()
    assert "httponly" in cookie
    assert "samesite=strict" in cookie
    assert "path=/api" in cookie


def test_the_cookie_is_secure_where_settings_say_so(coach, app, new_client) -> None:
    app.state.settings.secure_cookies = True
    assert "secure" in sign_in(new_client()).headers["set-cookie"].lower()


@pytest.mark.real_passwords
def test_the_password_is_kept_as_argon2id_and_the_token_as_a_hash(coach, engine) -> None:
    token = coach.client.cookies[SESSION_COOKIE]
    with Session(engine) as db:
        account = db.exec(select(AccountRow)).one()
        assert account.password_hash.startswith("$argon2id$")
        memory_kib = int(account.password_hash.split("m=")[1].split(",")[0])
        assert memory_kib >= 19 * 1024  # OWASP Password Storage Cheat Sheet: at least 19 MiB
        assert PASSWORD not in account.password_hash
        kept = db.exec(select(SignInRow)).one()
        assert token not in kept.token_hash


@pytest.mark.parametrize(
    ("email", "password"), [(EMAIL, "wrong"), ("nobody@theatre.example", PASSWORD)]
)
def test_a_wrong_pair_is_refused_without_saying_which(coach, new_client, email, password) -> None:
    told = problem(sign_in(new_client(), email, password), 401)
    assert told["problem"] == "address and password do not belong together."


def test_guessing_is_stopped_after_five_tries(coach, new_client, clock) -> None:
    guesser = new_client()
    for _ in range(TRIES_PER_ADDRESS):
        assert sign_in(guesser, password="a guess").status_code == 401
    refused = sign_in(guesser)
    assert "Wait" in problem(refused, 429)["remedy"]
    assert int(refused.headers["retry-after"]) > 0
    clock.pass_by(minutes=16)
    assert sign_in(guesser).status_code == 200


def test_one_machine_cannot_try_many_addresses(coach, new_client) -> None:
    guesser = new_client()
    for i in range(TRIES_PER_MACHINE):
        assert sign_in(guesser, f"guess{i}@theatre.example").status_code == 401
    assert sign_in(guesser, "another@theatre.example").status_code == 429


def test_a_right_password_clears_the_count(coach, new_client) -> None:
    client = new_client()
    for _ in range(2):
        for _ in range(TRIES_PER_ADDRESS - 1):
            sign_in(client, password="a guess")
        assert sign_in(client).status_code == 200


def test_signing_out_ends_the_session_on_the_server(coach) -> None:
    token = coach.client.cookies[SESSION_COOKIE]
    assert coach.client.post("/api/sign-out").status_code == 204
    coach.client.cookies.set(SESSION_COOKIE, token, path="/api")
    assert coach.client.get("/api/me").status_code == 401


def test_a_session_runs_out(coach, clock, app) -> None:
    clock.pass_by(hours=app.state.settings.session_hours - 1)
    assert coach.client.get("/api/me").status_code == 200
    clock.pass_by(hours=2)
    assert coach.client.get("/api/me").status_code == 401


def test_a_made_up_cookie_lets_nobody_in(coach, new_client) -> None:
    stranger = new_client()
    stranger.cookies.set(SESSION_COOKIE, "made-up", path="/api")
    assert stranger.get("/api/me").status_code == 401


@pytest.mark.parametrize(
    ("email", "password", "time_zone", "field"),
    [
        ("new@theatre.example", "short", "Europe/Lisbon", "password"),
        ("new@theatre.example", PASSWORD, "Moon/Base", "time zone"),
        (EMAIL, PASSWORD, "Europe/Lisbon", "email"),
    ],
)
def test_accounts_that_cannot_be(coach, engine, clock, email, password, time_zone, field) -> None:
    with pytest.raises(Exception, match=field), transaction(engine) as db:
        accounts.create(db, email, "Someone", password, time_zone, clock())
    with Session(engine) as db:
        assert len(db.exec(select(AccountRow)).all()) == 1
