"""Messages as letters: put right, sent once, tried again, stopped, and never of anyone's health."""

from uuid import uuid4

import pytest
from sqlalchemy import text

from tests.api.coach import problem

ODA = "oda@theatre.example"


@pytest.fixture
def message(coach, ladder) -> dict:
    """The draft that a climb has written, to someone with an address."""
    reachable(coach, ladder["athlete_id"])
    coach.trains(ladder["id"])
    proposal = coach.trains(ladder["id"])
    return coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")["message"]


def reachable(coach, athlete: str, email: str = ODA) -> dict:
    body = {"name": "Oda Fenwick", "note": "", "time_zone": "Europe/Lisbon", "email": email}
    return coach.put(f"/api/athletes/{athlete}", **body)


def newest(coach) -> dict:
    return coach.get("/api/messages")["messages"][0]


def sends(coach, message: dict):
    return coach.client.post(f"/api/messages/{message['id']}/send")


def key_of(letter) -> str:
    return letter.stop.split("/")[-2]


def test_a_draft_is_put_right_and_sent_once(coach, message, box, delivers) -> None:
    assert message["status"] == "draft"
    path = f"/api/messages/{message['id']}"
    coach.put(path, subject=" Your next step ", body="Well done, Oda.\nSee you on Monday.")
    assert sends(coach, message).json()["status"] == "queued"
    assert sends(coach, message).status_code == 202  # pressed twice: one letter
    delivers()
    (letter,) = box.letters
    assert (letter.to, letter.subject) == (ODA, "Your next step")
    assert letter.body.splitlines()[:2] == ["Well done, Oda.", "See you on Monday."]
    assert newest(coach)["status"] == "sent"
    assert newest(coach)["sent_at"] is not None
    assert problem(sends(coach, message), 409)["problem"] == "it was sent already."
    again = coach.client.put(path, json={"subject": "x", "body": "y"})
    assert problem(again, 409)["field"] == "message"


@pytest.mark.parametrize(
    "words", ["Rest until the pain is gone.", "Your doctor said so.", "Mind your injured wrist."]
)
def test_no_word_of_health_goes_into_a_letter(coach, message, box, words) -> None:
    body = {"subject": "Next week", "body": words}
    refused = coach.client.put(f"/api/messages/{message['id']}", json=body)
    assert problem(refused, 422)["field"] == "body"
    assert "in person" in problem(refused, 422)["remedy"]
    assert newest(coach)["body"] == message["body"]


@pytest.mark.parametrize("words", [{"subject": " "}, {"body": ""}, {"body": "x" * 3000}])
def test_an_empty_or_endless_message_is_refused(coach, message, words) -> None:
    body = {"subject": "Next", "body": "Well done.", **words}
    refused = coach.client.put(f"/api/messages/{message['id']}", json=body)
    assert problem(refused, 422)["field"] == next(iter(words))


def test_a_server_that_is_busy_is_asked_again(coach, message, box, delivers, engine) -> None:
    box.refuses = 1
    sends(coach, message)
    delivers()
    assert box.letters == []
    waiting = newest(coach)
    assert (waiting["status"], waiting["failure"]) == (
        "queued",
        "The mail server refused the letter.",
    )
    with engine.begin() as db:
        db.execute(text("UPDATE procrastinate_jobs SET scheduled_at = now()"))
    delivers()
    assert len(box.letters) == 1
    assert newest(coach)["failure"] == ""


def test_a_server_that_never_takes_it_says_so_and_it_can_be_sent_again(
    coach, message, box, delivers, engine
) -> None:
    box.refuses = 6
    sends(coach, message)
    for _ in range(7):
        delivers()
        with engine.begin() as db:
            db.execute(text("UPDATE procrastinate_jobs SET scheduled_at = now()"))
    assert newest(coach)["status"] == "failed"
    sends(coach, message)
    delivers()
    assert newest(coach)["status"] == "sent"


def test_whoever_gets_letters_stops_them_and_nobody_sends_more(
    coach, message, box, delivers, new_client, ladder
) -> None:
    sends(coach, message)
    delivers()
    (letter,) = box.letters
    page = f"https://coach.example/letters#{key_of(letter)}"
    assert page in letter.body
    reader = new_client()
    path = f"/api/letters/{key_of(letter)}"
    assert reader.get(path).json() == {"wanted": True}
    one_click = {"content-type": "application/x-www-form-urlencoded"}  # RFC 8058
    stopped = reader.post(f"{path}/stop", content="List-Unsubscribe=One-Click", headers=one_click)
    assert stopped.json() == {"wanted": False}
    seen = coach.get(f"/api/athletes/{ladder['athlete_id']}/letters")
    assert seen["unavailable_reason"] == "Oda Fenwick wants no letters."
    link = coach.client.post(f"/api/athletes/{ladder['athlete_id']}/link/letter")
    assert problem(link, 409)["problem"] == "Oda Fenwick wants no letters."
    assert reader.post(f"{path}/start").json() == {"wanted": True}
    assert coach.get(f"/api/athletes/{ladder['athlete_id']}/letters")["unavailable_reason"] == ""


def test_who_stops_letters_gets_none_that_is_on_its_way(
    coach, message, box, delivers, engine, new_client
) -> None:
    sends(coach, message)
    with engine.begin() as db:
        key = db.execute(text("SELECT letters_key FROM athlete")).scalar_one()
    new_client().post(f"/api/letters/{key}/stop")
    delivers()
    assert box.letters == []
    assert newest(coach)["failure"] == "Oda Fenwick wants no letters."


def test_a_guessed_key_stops_nobody(new_client, coach) -> None:
    assert new_client().post(f"/api/letters/{uuid4()}/stop").status_code == 404


def test_without_a_mail_server_or_an_address_it_says_what_to_do(coach, message, ladder) -> None:
    refused = problem(sends(coach, message), 409)
    assert refused["problem"] == "No mail goes out from here."
    assert "Copy or share" in refused["remedy"]


def test_without_an_address_nothing_is_sent(coach, message, box, ladder) -> None:
    reachable(coach, ladder["athlete_id"], "")
    assert "no e-mail address of Oda Fenwick" in problem(sends(coach, message), 409)["problem"]


@pytest.mark.parametrize("email", ["oda", "oda@", "a b@theatre.example", "x\r\nBcc: y@z.example"])
def test_what_is_no_address_is_refused(coach, ladder, email) -> None:
    body = {"name": "Oda Fenwick", "time_zone": "Europe/Lisbon", "email": email}
    refused = coach.client.put(f"/api/athletes/{ladder['athlete_id']}", json=body)
    assert problem(refused, 422)["field"] == "email"


def test_a_name_put_right_leaves_the_address(coach, ladder) -> None:
    athlete = ladder["athlete_id"]
    reachable(coach, athlete)
    coach.put(f"/api/athletes/{athlete}", name="Oda F. Fenwick", time_zone="Europe/Lisbon")
    assert coach.get(f"/api/athletes/{athlete}")["email"] == ODA


def test_a_link_comes_by_letter_and_opens_the_phone(
    coach, ladder, box, delivers, new_client
) -> None:
    reachable(coach, ladder["athlete_id"])
    coach.client.post(f"/api/athletes/{ladder['athlete_id']}/link/letter").raise_for_status()
    delivers()
    (letter,) = box.letters
    (address,) = [line for line in letter.body.splitlines() if "/open#" in line]
    opened = new_client().post("/api/link", json={"token": address.split("#")[1]})
    assert opened.json()["athlete_name"] == "Oda Fenwick"


def test_an_undone_answer_takes_its_draft_away_and_keeps_what_was_sent(
    coach, message, box, delivers, engine
) -> None:
    sends(coach, message)
    delivers()
    with engine.begin() as db:
        proposal = db.execute(text("SELECT proposal_id FROM message")).scalar_one()
    coach.post(f"/api/proposals/{proposal}/undo")
    assert newest(coach)["status"] == "sent"


def test_another_coach_reaches_no_message(coach, message, new_coach) -> None:
    other = new_coach("else@theatre.example")
    assert other.client.post(f"/api/messages/{message['id']}/send").status_code == 404
    body = {"subject": "x", "body": "y"}
    assert other.client.put(f"/api/messages/{message['id']}", json=body).status_code == 404
