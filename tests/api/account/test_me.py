"""A coach's own settings: name, address, password, signed in where, and what was done."""

import pytest
from sqlalchemy import text

from invelo.db.database import transaction
from invelo.services.account import passwords
from tests.api.account.test_sign_in import sign_in
from tests.api.coach import EMAIL, PASSWORD, problem

NEW = "a longer riser, a shorter rope"


def events(coach) -> list[str]:
    return [one["what"] for one in coach.get("/api/me/events")["events"]]


def test_name_and_zone_are_put_right(coach) -> None:
    assert coach.put("/api/me", name=" Ilse Marn-Quint ", time_zone="Europe/Lisbon")["name"] == (
        "Ilse Marn-Quint"
    )
    assert coach.get("/api/me")["name"] == "Ilse Marn-Quint"
    assert events(coach) == ["Name or time zone changed."]


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"name": "  "}, "name"),
        ({"time_zone": "Moon/Sea"}, "time zone"),
        ({"name": "x" * 200}, "name"),
    ],
)
def test_what_cannot_be_is_refused(coach, change, field) -> None:
    body = {"name": "Ilse", "time_zone": "Europe/Lisbon", **change}
    assert problem(coach.client.put("/api/me", json=body), 422)["field"] == field


def test_another_password_ends_every_session_and_opens_from_then_on(coach, new_client) -> None:
    elsewhere = new_client()
    assert sign_in(elsewhere).status_code == 200
    body = {"password": PASSWORD, "new_password": NEW}
    coach.client.put("/api/me/password", json=body).raise_for_status()
    assert elsewhere.get("/api/squad").status_code == 401
    assert coach.client.get("/api/squad").status_code == 401
    assert sign_in(new_client()).status_code == 401
    again = new_client()
    assert sign_in(again, password=NEW).status_code == 200
    assert again.get("/api/me/events").json()["events"][0]["what"].startswith("Password changed")


def test_a_password_is_changed_by_whoever_knows_it(coach) -> None:
    body = {"password": "not the one it is", "new_password": NEW}
    assert problem(coach.client.put("/api/me/password", json=body), 422)["field"] == "password"
    body = {"password": PASSWORD, "new_password": "short"}
    assert (
        "10 characters" in problem(coach.client.put("/api/me/password", json=body), 422)["remedy"]
    )
    assert coach.get("/api/me")["email"] == EMAIL


def test_guessing_ones_own_password_is_slowed_down_as_signing_in_is(coach) -> None:
    body = {"password": "not the one it is", "new_password": NEW}
    codes = {coach.client.put("/api/me/password", json=body).status_code for _ in range(8)}
    assert codes == {422, 429}


def test_another_address_signs_in(coach, new_client, new_coach) -> None:
    body = {"email": "Ilse@Stage.example", "password": PASSWORD}
    coach.client.put("/api/me/email", json=body).raise_for_status()
    assert sign_in(new_client()).status_code == 401
    assert sign_in(new_client(), "ilse@stage.example").status_code == 200
    taken = new_coach().get("/api/me")["email"]
    body = {"email": taken, "password": PASSWORD}
    assert problem(coach.client.put("/api/me/email", json=body), 409)["field"] == "email"


def test_signed_out_everywhere_at_once(coach, new_client) -> None:
    elsewhere = new_client()
    sign_in(elsewhere)
    coach.client.delete("/api/me/sign-ins").raise_for_status()
    assert elsewhere.get("/api/squad").status_code == 401
    assert coach.client.get("/api/squad").status_code == 401


# ---- forgotten ---------------------------------------------------------------------------------


@pytest.fixture
def reset(coach, app) -> str:
    with transaction(app.state.engine) as db:
        begun = passwords.begin_reset(db, EMAIL.upper(), coach.clock())
        assert passwords.begin_reset(db, "nobody@stage.example", coach.clock()) is None
    assert begun is not None
    return begun[1]


def use(client, token: str, password: str = NEW):
    body = {"token": token, "new_password": password}
    return client.post("/api/password-resets/use", json=body)


def test_a_forgotten_password_is_set_anew_once(coach, new_client, reset) -> None:
    assert problem(use(new_client(), reset, "short"), 422)["field"] == "password"
    assert use(new_client(), reset).status_code == 204
    assert coach.client.get("/api/squad").status_code == 401
    assert sign_in(new_client(), password=NEW).status_code == 200
    assert use(new_client(), reset).status_code == 404


def test_the_link_runs_out(coach, new_client, reset) -> None:
    coach.clock.pass_by(hours=3)
    assert use(new_client(), reset).status_code == 404


def test_a_guessed_link_opens_nothing(new_client, coach) -> None:
    assert use(new_client(), "x" * 43).status_code == 404


# ---- by letter ---------------------------------------------------------------------------------


def asks(client, email: str = EMAIL):
    return client.post("/api/password-resets", json={"email": email})


def test_a_letter_brings_the_link_that_sets_the_password(
    coach, app, new_client, box, delivers
) -> None:
    assert asks(new_client()).json() == {"hours": 2}
    delivers()
    (letter,) = box.letters
    assert letter.to == EMAIL
    assert "pain" not in letter.subject + letter.body
    address = next(line for line in letter.body.splitlines() if "#" in line)
    assert address.startswith("https://coach.example/reset#")
    assert use(new_client(), address.split("#")[1]).status_code == 204
    assert sign_in(new_client(), password=NEW).status_code == 200


def test_nobody_learns_who_has_an_account(coach, app, new_client, box, delivers) -> None:
    assert asks(new_client(), "nobody@stage.example").json() == asks(new_client()).json()
    delivers()
    assert [letter.to for letter in box.letters] == [EMAIL]


def test_a_letter_the_server_refuses_waits_for_another_try(
    coach, app, new_client, box, delivers
) -> None:
    box.refuses = 1
    asks(new_client())
    delivers()
    assert box.letters == []
    with app.state.engine.begin() as db:
        waiting = db.execute(
            text("SELECT status, attempts FROM procrastinate_jobs WHERE task_name = 'send_reset'")
        ).all()
        assert [tuple(row) for row in waiting] == [("todo", 1)]
        db.execute(text("UPDATE procrastinate_jobs SET scheduled_at = now()"))
    delivers()
    assert len(box.letters) == 1


def test_asking_without_end_is_slowed_down(coach, app, new_client, box, delivers) -> None:
    client = new_client()
    assert {asks(client).status_code for _ in range(12)} == {202, 429}


def test_where_no_mail_goes_out_it_says_what_to_do(coach, new_client) -> None:
    assert "./invelo reset-password" in problem(asks(new_client()), 409)["remedy"]
