"""Athletes put right, put away and shared: invitations, roles, handing over."""

import pytest

from tests.api.account.test_me import events
from tests.api.coach import problem


def sent(coach, **more) -> dict:
    return coach.post("/api/invitations", meant_for="Tomas", **more)


def roles(coach, athlete: str) -> dict[str, str]:
    found = coach.get(f"/api/athletes/{athlete}/coaches")["coaches"]
    return {one["email"]: one["role"] for one in found}


def names(coach) -> list[str]:
    return [one["name"] for one in coach.get("/api/squad")["athletes"]]


# ---- one athlete -------------------------------------------------------------------------------


def test_a_name_is_put_right(coach, ladder) -> None:
    path = f"/api/athletes/{ladder['athlete_id']}"
    before = coach.get(path)["name"]
    coach.put(path, name="Oda Fenn", note="left wrist", time_zone="Europe/Lisbon")
    assert names(coach) == ["Oda Fenn"]
    assert coach.get(path)["note"] == "left wrist"
    assert events(coach)[0] == f"{before} is called Oda Fenn now."
    body = {"name": "x" * 200, "time_zone": "Europe/Lisbon"}
    assert problem(coach.client.put(path, json=body), 422)["field"] == "name"


def test_whoever_is_put_away_stands_in_no_squad_and_comes_back_whole(coach, ladder) -> None:
    path = f"/api/athletes/{ladder['athlete_id']}"
    coach.put(f"{path}/archive")
    assert names(coach) == []
    (away,) = coach.get("/api/archived-athletes")["athletes"]
    assert away["id"] == ladder["athlete_id"]
    assert coach.get(f"/api/ladders/{ladder['id']}")["id"] == ladder["id"]  # open pages go on
    coach.clock.pass_by(hours=1)
    coach.client.delete(f"{path}/archive").raise_for_status()
    assert len(names(coach)) == 1
    assert coach.get("/api/archived-athletes")["athletes"] == []
    assert [one.split(" ")[0] for one in events(coach)[:2]] == ["Restored", "Archived"]


# ---- shared ------------------------------------------------------------------------------------


@pytest.mark.parametrize("role", ["coach", "reader"])
def test_an_invitation_opens_one_athlete_in_its_role_once(coach, ladder, new_coach, role) -> None:
    coach.enrols("Bela Quint")
    athlete = ladder["athlete_id"]
    token = sent(coach, athlete_id=athlete, role=role)["token"]
    second = new_coach()
    shown = second.post("/api/invitations/look", token=token)
    assert (shown["role"], bool(shown["athlete"])) == (role, True)
    assert second.post("/api/invitations/accept", token=token)["athletes"] == [athlete]
    assert len(names(second)) == 1
    note = {"name": "Oda", "time_zone": "Europe/Lisbon"}
    code = second.client.put(f"/api/athletes/{athlete}", json=note).status_code
    assert code == (200 if role == "coach" else 404)
    assert second.client.delete(f"/api/athletes/{athlete}").status_code == 404
    third = new_coach()
    used = third.client.post("/api/invitations/accept", json={"token": token})
    assert "taken up" in problem(used, 409)["problem"]
    assert sorted(roles(coach, athlete).values()) == sorted(["owner", role])


def test_somebody_new_joins_with_an_account_of_their_own(coach, ladder, new_client) -> None:
    token = sent(coach)["token"]
    client = new_client()
    who = {"name": "Tomas Vell", "email": "tomas@stage.example", "time_zone": "Europe/Lisbon"}
    body = {"token": token, "password": "two crates and a rope", **who}
    assert client.post("/api/invitations/join", json={**body, "password": "x"}).status_code == 422
    joined = client.post("/api/invitations/join", json=body)
    assert joined.json()["athletes"] == [ladder["athlete_id"]]
    signed = {"email": who["email"], "password": body["password"]}
    assert client.post("/api/sign-in", json=signed).status_code == 200
    assert len(client.get("/api/squad").json()["athletes"]) == 1


def test_an_invitation_runs_out_and_can_be_taken_back(coach, ladder, new_coach) -> None:
    second = new_coach()
    late, back = sent(coach), sent(coach)
    coach.client.delete(f"/api/invitations/{back['id']}").raise_for_status()
    token = {"token": back["token"]}
    assert second.client.post("/api/invitations/accept", json=token).status_code == 404
    own = coach.client.post("/api/invitations/accept", json={"token": late["token"]})
    assert "your own" in problem(own, 409)["problem"]
    coach.clock.pass_by(days=8)
    gone = second.client.post("/api/invitations/accept", json={"token": late["token"]})
    assert problem(gone, 409)["remedy"] == "Ask for another."
    (kept,) = coach.get("/api/invitations")["invitations"]
    assert kept["unavailable_reason"] == "It has run out."


def test_nobody_shares_whom_they_do_not_own(coach, ladder, new_coach) -> None:
    token = sent(coach, role="coach")["token"]
    second = new_coach()
    second.post("/api/invitations/accept", token=token)
    body = {"athlete_id": ladder["athlete_id"], "meant_for": "a third"}
    assert second.client.post("/api/invitations", json=body).status_code == 404
    third = new_coach()
    path = f"/api/athletes/{ladder['athlete_id']}/coaches"
    assert third.client.get(path).status_code == 404
    everybody = sent(second)["token"]  # of a coach who owns nobody
    assert third.post("/api/invitations/accept", token=everybody)["athletes"] == []


def test_a_record_is_handed_over_and_the_one_who_had_it_may_leave(coach, ladder, new_coach) -> None:
    athlete = ladder["athlete_id"]
    second = new_coach()
    second.post("/api/invitations/accept", token=sent(coach, role="reader")["token"])
    me, other = coach.get("/api/me"), second.get("/api/me")
    path = f"/api/athletes/{athlete}/coaches"
    coach.put(f"{path}/{other['id']}", role="owner")
    assert roles(second, athlete) == {other["email"]: "owner", me["email"]: "coach"}
    assert any("handed" in what for what in events(second))
    refused = coach.client.put(f"{path}/{other['id']}", json={"role": "reader"})
    assert refused.status_code == 404
    leaves = second.client.delete(f"{path}/{other['id']}")
    assert "Hand it over" in problem(leaves, 409)["remedy"]
    coach.client.delete(f"{path}/{me['id']}").raise_for_status()
    assert names(coach) == []


def test_no_line_names_whoever_was_erased(coach, ladder, new_coach) -> None:
    path = f"/api/athletes/{ladder['athlete_id']}"
    coach.put(path, name="Oda Fenn", time_zone="Europe/Lisbon")
    coach.put(f"{path}/archive")
    sent(coach, athlete_id=ladder["athlete_id"])
    coach.client.delete(path).raise_for_status()
    assert events(coach) == ["Erased an athlete and every record of theirs."]
