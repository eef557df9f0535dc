"""Places and kit over the API: kept, looked at, approved, and never planned with while unsafe."""

import base64
from io import BytesIO
from uuid import uuid4

import pytest
from PIL import Image
from PIL.PngImagePlugin import PngInfo

from tests.api.athlete.test_intake import BAR, furnishes, tells
from tests.api.coach import Coach, problem


def png() -> str:
    """A small picture that says where it was taken."""
    told, made = PngInfo(), BytesIO()
    told.add_text("Comment", "Hidden Street 7")
    Image.new("RGB", (8, 6), "teal").save(made, "PNG", pnginfo=told)
    return base64.b64encode(made.getvalue()).decode()


PNG = png()


def test_kit_is_kept_changed_and_taken_off(coach: Coach, new_coach) -> None:
    place, item = str(uuid4()), str(uuid4())
    coach.put(f"/api/places/{place}", name="Truck", floor="gripping")
    coach.put(f"/api/kit/{item}", place_id=place, **BAR)
    (told,) = coach.get("/api/places")["places"]
    assert told["items"][0]["unavailable_reason"] == "not checked yet"
    assert told["items"][0]["look_for"]
    (told,) = coach.post(f"/api/kit/{item}/check", safe=True)["places"]
    assert (told["items"][0]["unavailable_reason"], told["items"][0]["checked_by"]) == (
        "",
        "A coach",
    )
    (told,) = coach.put(f"/api/kit/{item}", place_id=place, **{**BAR, "height_m": 2.2})["places"]
    assert told["items"][0]["unavailable_reason"] == "not checked yet", (
        "what was rebuilt is looked at anew"
    )
    stranger = new_coach()
    assert stranger.get("/api/places")["places"] == []
    assert problem(stranger.client.delete(f"/api/kit/{item}"), 404)["field"] == "thing"
    coach.client.delete(f"/api/kit/{item}").raise_for_status()
    coach.client.delete(f"/api/places/{place}").raise_for_status()
    assert coach.get("/api/places")["places"] == []


def test_a_home_made_rig_waits_for_a_photo_and_a_yes(coach: Coach) -> None:
    place = furnishes(coach)
    item = str(uuid4())
    coach.put(f"/api/kit/{item}", place_id=place, home_made=True, **BAR)
    assert problem(coach.client.post(f"/api/kit/{item}/approval"), 409)["field"] == "photo"
    bad = coach.client.put(f"/api/kit/{item}/photo", json={"photo": "aGVsbG8="})
    assert problem(bad, 422)["field"] == "photo"
    coach.put(f"/api/kit/{item}/photo", photo=PNG)
    picture = coach.client.get(f"/api/kit/{item}/photo")
    assert picture.headers["content-type"] == "image/jpeg"
    assert b"Hidden Street" in base64.b64decode(PNG)
    assert b"Hidden Street" not in picture.content
    broken = base64.b64encode(base64.b64decode(PNG)[:30]).decode()
    assert problem(coach.client.put(f"/api/kit/{item}/photo", json={"photo": broken}), 422)
    coach.post(f"/api/kit/{item}/check", safe=True)
    (told,) = coach.get("/api/places")["places"]
    assert "photo" in told["items"][0]["unavailable_reason"]
    (told,) = coach.post(f"/api/kit/{item}/approval")["places"]
    assert told["items"][0]["unavailable_reason"] == ""
    (told,) = coach.put(f"/api/kit/{item}/photo", photo=PNG)["places"]
    assert "photo" in told["items"][0]["unavailable_reason"], "another photo wants another look"


@pytest.mark.parametrize("safe", [False, None])
def test_unsafe_or_unseen_kit_is_never_planned_with(coach: Coach, safe: bool | None) -> None:
    athlete = coach.enrols()["id"]
    place, item = furnishes(coach), str(uuid4())
    coach.put(f"/api/kit/{item}", place_id=place, **BAR)
    if safe is not None:
        coach.post(f"/api/kit/{item}/check", safe=safe)
    tells(coach, athlete, goals=["row"], places=[place])
    proposed = coach.get(f"/api/athletes/{athlete}/battery")
    assert proposed["tests"] == []
    towel, *others = sorted(proposed["left_out"], key=lambda one: "towel" not in one["why"])
    assert "it needs towel" in towel["why"]  # a row for a room without a bar
    assert others
    assert all("not safe" in one["why"] for one in others)
    body = {"id": str(uuid4()), "movement": "row", "reps": 8}
    refused = coach.client.post(f"/api/athletes/{athlete}/tests", json=body)
    assert problem(refused, 409)["field"] == "kit"
    coach.post(f"/api/kit/{item}/check", safe=True)
    coach.post(f"/api/athletes/{athlete}/tests", **body)


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"height_m": -1}, "height"),
        ({"height_m": None}, "height"),
        ({"kind": "load", "kg": None}, "weight"),
        ({"kind": "band"}, "band"),
        ({"count": 0}, "count"),
        ({"name": " "}, "name"),
        ({"kind": "trapeze"}, "kind"),
    ],
)
def test_kit_that_cannot_be_is_refused(coach: Coach, change: dict, field: str) -> None:
    place = furnishes(coach)
    body = {"place_id": place, **BAR, **change}
    response = coach.client.put(f"/api/kit/{uuid4()}", json=body)
    assert problem(response, 422)["field"] == field
    assert coach.get("/api/places")["places"][0]["items"] == []


def test_a_cut_band_starts_anew_under_its_old_name(coach: Coach) -> None:
    readings = [{"length_m": 1 + i / 5, "kg": 2.0 * i} for i in range(1, 7)]
    body = {"name": "narrow", "rest_m": 1.0, "readings": readings}
    old = coach.post("/api/bands", id=str(uuid4()), **body)
    place = furnishes(coach, {"kind": "band", "name": "narrow", "band_id": old["id"]})
    path = f"/api/bands/{old['id']}/retirement"
    coach.client.post(path, json={"why": "cut"}).raise_for_status()
    assert next(p for p in coach.get("/api/places")["places"] if p["id"] == place)["items"] == []
    shorter = {**body, "rest_m": 0.8}
    new = coach.post("/api/bands", id=str(uuid4()), **shorter)
    assert [one["id"] for one in coach.get("/api/bands")["bands"]] == [new["id"]]
    assert problem(coach.client.post(path, json={"why": "cut"}), 404)["field"] == "band"


def test_a_check_that_runs_out_is_told_on_the_squad(coach: Coach) -> None:
    place, item = str(uuid4()), str(uuid4())
    coach.put(f"/api/places/{place}", name="Truck", floor="gripping")
    coach.put(f"/api/kit/{item}", place_id=place, **BAR)
    coach.post(f"/api/kit/{item}/check", safe=True)
    assert coach.get("/api/squad")["kit_checks"] == []
    coach.later(80)
    (told,) = coach.get("/api/squad")["kit_checks"]
    assert told.startswith(f"The check of “{BAR['name']}” runs out on ")
    coach.later(20)
    (told,) = coach.get("/api/squad")["kit_checks"]
    assert "closed until you look" in told
