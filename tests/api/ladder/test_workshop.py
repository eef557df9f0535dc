"""The ladder workshop: rungs added, changed, moved, branched and joined; bridges; undo and redo."""

from uuid import uuid4

import pytest
from sqlmodel import Session, select

from invelo.db.tables.ladder import EdgeRow, LadderRevisionRow, LadderRow, RungRow
from tests.api.coach import problem
from tests.conftest import rows


def add(coach, ladder, after, before=(), **change):
    body = {
        "id": str(uuid4()),
        "name": "Feet on a brick",
        "movement": "push-up",
        "values": {"foot_height": 0.08},
        "after": [one["id"] for one in after],
        "before": [one["id"] for one in before],
    }
    return coach.client.post(f"/api/ladders/{ladder['id']}/rungs", json={**body, **change})


def drawn(coach, ladder):
    return coach.get(f"/api/ladders/{ladder['id']}")


def names(sheet) -> list[str]:
    assert [rung["position"] for rung in sheet["rungs"]] == list(range(len(sheet["rungs"])))
    return [rung["name"] for rung in sheet["rungs"]]


def steps(sheet) -> list[tuple[str, str]]:
    called = {rung["id"]: rung["name"] for rung in sheet["rungs"]}
    return [(called[step["lower_id"]], called[step["upper_id"]]) for step in sheet["steps"]]


def floor(ladder):
    return next(r for r in ladder["rungs"] if r["name"] == "Floor push-up")


def above(ladder, rung):
    return ladder["rungs"][rung["position"] + 1]


def test_a_rung_stands_between_the_two_it_was_put_between(coach, ladder) -> None:
    here, over = floor(ladder), above(ladder, floor(ladder))
    made = add(coach, ladder, [here], [over])
    assert made.status_code == 201
    after = drawn(coach, ladder)
    at = names(after).index("Floor push-up")
    assert names(after)[at + 1] == "Feet on a brick"
    assert after["rungs"][at + 1]["values"]["foot_height"] == 0.08
    assert after["rungs"][at + 1]["prescription"] == here["prescription"]
    assert after["rungs"][at + 1]["criterion"] == here["criterion"]
    assert ("Floor push-up", over["name"]) not in steps(after)
    assert after["current_rung_id"] == ladder["current_rung_id"]


def test_a_new_foot_comes_before_what_was_the_foot(coach, ladder) -> None:
    foot = ladder["rungs"][0]
    add(coach, ladder, [], [foot], name="Wall", movement="wall-push-up", values={})
    after = drawn(coach, ladder)
    assert names(after)[0] == "Wall"
    assert steps(after)[0] == ("Wall", foot["name"])


def test_a_ladder_branches_and_joins(coach, ladder) -> None:
    here, over = floor(ladder), above(ladder, floor(ladder))
    add(coach, ladder, [here], name="Squeeze", movement="palm-squeeze", values={})
    after = drawn(coach, ladder)
    squeeze = next(rung for rung in after["rungs"] if rung["name"] == "Squeeze")
    assert squeeze["demand"] is None
    assert squeeze["lane"] is None
    tied = {"lower_id": squeeze["id"], "upper_id": over["id"]}
    joined = coach.post(f"/api/ladders/{ladder['id']}/edges", **tied)
    assert {("Floor push-up", over["name"]), ("Squeeze", over["name"])} <= set(steps(joined))
    rpe = next(s for s in joined["steps"] if s["lower_id"] == squeeze["id"])
    assert rpe["ratio"] is None
    assert rpe["gap"] is False
    path = f"/api/ladders/{ladder['id']}/edges/{squeeze['id']}/{over['id']}"
    assert ("Squeeze", over["name"]) not in steps(coach.client.delete(path).json())


def test_a_loop_is_refused_and_nothing_is_written(coach, ladder) -> None:
    here, over = floor(ladder), above(ladder, floor(ladder))
    loop = {"lower_id": over["id"], "upper_id": here["id"]}
    told = problem(coach.client.post(f"/api/ladders/{ladder['id']}/edges", json=loop), 422)
    assert "loop" in told["problem"]
    assert problem(add(coach, ladder, [over], [here]), 422)["field"] == "after"
    assert drawn(coach, ladder) == ladder


def test_a_rung_is_changed_in_its_place(coach, ladder) -> None:
    here = floor(ladder)
    prescription = {**here["prescription"], "sets": 4, "low": 5, "high": 9}
    body = {
        "name": "Floor, slow",
        "movement": "push-up",
        "tempo": "3-1-1-0",
        "prescription": prescription,
    }
    path = f"/api/ladders/{ladder['id']}/rungs/{here['id']}"
    after = coach.put(path, **body, criterion={"sets": 4, "amount": 9}, why="for the wrists")
    rung = next(one for one in after["rungs"] if one["id"] == here["id"])
    assert (rung["name"], rung["tempo"], rung["why"]) == (
        "Floor, slow",
        "3-1-1-0",
        "for the wrists",
    )
    assert rung["position"] == here["position"]
    assert rung["prescription"]["sets"] == 4
    assert rung["criterion"]["amount"] == 9
    assert rung["demand"]["likely"] > here["demand"]["likely"]
    assert steps(after)[here["position"]][0] == "Floor, slow"


def test_a_rung_is_moved_in_the_order(coach, ladder) -> None:
    here = floor(ladder)
    path = f"/api/ladders/{ladder['id']}/rungs/{here['id']}/position"
    after = coach.post(path, position=here["position"] - 2)
    assert names(after).index("Floor push-up") == here["position"] - 2
    assert len(after["steps"]) == len(ladder["steps"])
    assert any(step["easier"] for step in after["steps"]), "flagged, never silently moved"
    told = problem(coach.client.post(path, json={"position": 99}), 422)
    assert told["field"] == "position"


def test_edits_are_undone_and_done_again_to_the_same_ladder(coach, ladder) -> None:
    here, over = floor(ladder), above(ladder, floor(ladder))
    path = f"/api/ladders/{ladder['id']}"
    add(coach, ladder, [here], [over])
    added = drawn(coach, ladder)
    assert added["undo"] == "added “Feet on a brick”"
    coach.post(f"{path}/rungs/{here['id']}/position", position=3)
    moved = drawn(coach, ladder)
    back = coach.post(f"{path}/undo")
    assert same(back, added)
    assert back["redo"] == "moved “Floor push-up”"
    assert same(coach.post(f"{path}/undo"), ladder)
    told = problem(coach.client.post(f"{path}/undo"), 409)
    assert "nothing to undo" in told["problem"]
    coach.post(f"{path}/redo")
    assert same(coach.post(f"{path}/redo"), moved)
    assert problem(coach.client.post(f"{path}/redo"), 409)["field"] == "ladder"


def same(one, other) -> bool:
    kept = ("goal", "current_rung_id", "rungs", "steps", "settings")
    return all(plain(one[name]) == plain(other[name]) for name in kept)


def plain(found):
    """Without versions, which never come back."""
    if not isinstance(found, list) or not found or "version" not in found[0]:
        return found
    return [{**one, "version": ""} for one in found]


def test_a_new_edit_after_an_undo_ends_what_could_be_done_again(coach, ladder) -> None:
    here = floor(ladder)
    path = f"/api/ladders/{ladder['id']}"
    add(coach, ladder, [here])
    coach.post(f"{path}/undo")
    add(coach, ladder, [here], name="Another")
    assert drawn(coach, ladder)["redo"] == ""
    assert same(coach.post(f"{path}/undo"), ladder)


def test_sending_a_rung_twice_adds_one(coach, ladder) -> None:
    rung = str(uuid4())
    first, second = (add(coach, ladder, [floor(ladder)], id=rung) for _ in range(2))
    assert first.json() == second.json()
    assert len(drawn(coach, ladder)["rungs"]) == len(ladder["rungs"]) + 1


def test_an_id_of_another_ladder_is_refused(coach, ladder) -> None:
    other = coach.has_ladder()
    refused = add(coach, ladder, [floor(ladder)], id=other["current_rung_id"])
    assert problem(refused, 409)["field"] == "id"


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"values": {"foot_height": 5}}, "foot height"),
        ({"values": {"wings": 2}}, "wings"),
        ({"values": {"hand_height": 1.9}}, "hand height"),
        ({"added_load": {"lap_kg": 4}}, "worn lap"),
        ({"movement": "flying"}, "movement"),
        ({"movement": "Incline push-up"}, "movement"),
        ({"name": "Floor push-up"}, "name"),
        ({"name": ""}, "name"),
        ({"tempo": "slowly"}, "tempo"),
        ({"prescription": {"sets": 3, "low": 9, "high": 5, "unit": "reps"}}, "range's top"),
        ({"prescription": {"sets": 3, "low": 5, "high": 9, "unit": "s"}}, "prescription.unit"),
        ({"criterion": {"sets": 99, "amount": 5}}, "criterion sets"),
    ],
)
def test_a_bad_rung_names_its_field_and_changes_nothing(coach, ladder, change, field) -> None:
    refused = add(coach, ladder, [floor(ladder)], **change)
    assert problem(refused, 422)["field"] == field
    assert drawn(coach, ladder) == ladder


def test_a_rung_of_another_ladder_is_no_neighbour(coach, ladder) -> None:
    refused = add(coach, ladder, [floor(coach.has_ladder())])
    assert problem(refused, 422)["field"] == "rung"


def test_more_rungs_than_a_ladder_holds_are_refused(coach, ladder, engine) -> None:
    last = ladder["rungs"][-1]
    (first,) = (row for row in rows(engine, RungRow) if str(row.id) == last["id"])
    with Session(engine) as db:
        for i in range(59 - len(ladder["rungs"])):
            more = {"id": uuid4(), "name": f"Way {i}", "position": first.position + 1 + i}
            db.add(RungRow(**{**first.model_dump(), **more}))
        db.commit()
    assert add(coach, ladder, [last], name="The sixtieth").status_code == 201
    assert problem(add(coach, ladder, [last], name="One more"), 422)["field"] == "rungs"
    with Session(engine) as db:
        assert len(db.exec(select(RungRow)).all()) == 60


def remove(coach, ladder, rung_id: str):
    return coach.client.delete(f"/api/ladders/{ladder['id']}/rungs/{rung_id}")


def test_a_rung_nobody_trained_on_is_taken_off_and_its_neighbours_tied(coach, ladder) -> None:
    made = add(coach, ladder, [floor(ladder)], [above(ladder, floor(ladder))]).json()
    assert remove(coach, ladder, made["id"]).status_code == 204
    assert same(drawn(coach, ladder), ladder)


def test_the_rung_one_stands_on_stays(coach, ladder) -> None:
    told = problem(remove(coach, ladder, ladder["current_rung_id"]), 409)
    assert told["problem"].endswith("the athlete's current rung.")


def test_a_rung_with_history_stays(coach, ladder, engine) -> None:
    coach.trains(ladder["id"])
    trained = ladder["current_rung_id"]
    coach.put(f"/api/ladders/{ladder['id']}/current-rung", rung_id=ladder["rungs"][0]["id"])
    assert problem(remove(coach, ladder, trained), 409)["field"] == "rung"
    with Session(engine) as db:
        assert len(db.exec(select(RungRow)).all()) == len(ladder["rungs"])


def test_a_rung_that_is_not_there_cannot_be_taken_off(coach, ladder) -> None:
    assert problem(remove(coach, ladder, str(uuid4())), 404)["field"] == "rung"


def test_a_bridge_is_proposed_and_taken_rung_by_rung(coach, ladder) -> None:
    """Without the rungs between, the step from a counter to a stool is too big."""
    for rung in ladder["rungs"][1:3]:
        remove(coach, ladder, rung["id"]).raise_for_status()
    gap = drawn(coach, ladder)["steps"][0]
    assert gap["gap"]
    path = (
        f"/api/ladders/{ladder['id']}/bridge?lower_id={gap['lower_id']}&upper_id={gap['upper_id']}"
    )
    found = coach.get(path)
    assert found["possible"]
    assert found["considered"] > 1000
    assert found["rungs"]
    under = gap["lower_id"]
    for one in found["rungs"]:
        assert one["because"]
        assert one["figures"]
        assert 1.0 < one["ratio"] <= 1.1 + 1e-6
        told = ("demand", "ratio", "expected", "distance", "levers", "because", "figures")
        rung = {key: value for key, value in one.items() if key not in told}
        body = {**rung, "id": str(uuid4()), "after": [under], "before": [gap["upper_id"]]}
        assert coach.client.post(f"/api/ladders/{ladder['id']}/rungs", json=body).status_code == 201
        under = body["id"]
    after = drawn(coach, ladder)
    made = after["steps"][: len(found["rungs"]) + 1]
    assert not any(step["gap"] or step["easier"] for step in made)
    assert all(step["ratio"]["likely"] <= 1.1 + 1e-6 for step in made)


def test_terms_say_what_a_gap_is(coach, ladder) -> None:
    path = f"/api/ladders/{ladder['id']}/settings"
    settings = {"min_reps": 20, "min_hold_s": 8, "target_step_percent": 5}
    strict = coach.put(path, **settings, lever_order=["load", "range", "lever", "tempo"])
    assert strict["settings"] == {**settings, "lever_order": ["load", "range", "lever", "tempo"]}
    assert sum(s["gap"] for s in strict["steps"]) > sum(s["gap"] for s in ladder["steps"])
    told = problem(coach.client.put(path, json={**settings, "target_step_percent": 900}), 422)
    assert told["field"] == "wanted step"
    told = problem(coach.client.put(path, json={**settings, "lever_order": ["load"]}), 422)
    assert told["field"] == "order of preference"


def test_a_ladder_begins_from_nothing(coach) -> None:
    athlete = coach.enrols()["id"]
    first = {"id": str(uuid4()), "name": "Tuck", "movement": "tuck-front-lever"}
    path = f"/api/athletes/{athlete}/ladders"
    ladder = coach.post(path, goal="Straddle front lever", first=first)
    assert names(ladder) == ["Tuck"]
    assert ladder["family"] == "straight-arm pull"
    assert ladder["rungs"][0]["values"] == {"hip": 130, "knee": 140, "rounding": 15}
    assert ladder["placement"] is None
    for body, field in (
        ({"goal": "x"}, "first"),
        ({"first": first}, "goal"),
        ({"goal": "Straddle front lever", "first": {**first, "id": str(uuid4())}}, None),
    ):
        response = coach.client.post(path, json=body)
        told = problem(response, 422 if field else 409)
        assert told["field"] == (field or "goal")


def test_a_ladder_is_copied_to_someone_else_and_placed_by_their_tests(coach, ladder) -> None:
    other = coach.enrols("Bela Quint", mass_kg=58.0, stature_m=1.62)["id"]
    test = {"id": str(uuid4()), "movement": "push-up", "reps": 3}
    coach.post(f"/api/athletes/{other}/tests", **test)
    copied = coach.post(f"/api/ladders/{ladder['id']}/copies", athlete_id=other)
    assert names(copied) == names(ladder)
    assert steps(copied) == steps(ladder)
    assert not {r["id"] for r in copied["rungs"]} & {r["id"] for r in ladder["rungs"]}
    assert copied["rungs"][0]["demand"]["likely"] < ladder["rungs"][0]["demand"]["likely"]
    placed = {r["id"]: r["position"] for r in copied["rungs"]}
    assert placed[copied["current_rung_id"]] < floor(ladder)["position"]


def test_two_athletes_stand_beside_each_other_on_one_ladder(coach, ladder) -> None:
    other = coach.enrols("Bela Quint", mass_kg=58.0, stature_m=1.62)["id"]
    bare = coach.get(f"/api/ladders/{ladder['id']}/beside/{other}")
    assert bare["one"] == ladder
    assert bare["other"]["placement"] is None
    test = {"id": str(uuid4()), "movement": "push-up", "reps": 3}
    coach.post(f"/api/athletes/{other}/tests", **test)
    told = coach.get(f"/api/ladders/{ladder['id']}/beside/{other}")["other"]
    assert told["athlete_name"] == "Bela Quint"
    assert told["placement"]["reach"]["likely"] < ladder["placement"]["reach"]["likely"]
    assert [r["name"] for r in told["rungs"]] == names(ladder)


def test_a_ladder_nobody_trained_on_is_deleted_with_all_of_it(coach, ladder, engine) -> None:
    add(coach, ladder, [floor(ladder)])
    assert coach.client.delete(f"/api/ladders/{ladder['id']}").status_code == 204
    with Session(engine) as db:
        for table in (LadderRow, RungRow, EdgeRow, LadderRevisionRow):
            assert db.exec(select(table)).all() == []


def test_a_ladder_with_sessions_stays(coach, ladder) -> None:
    coach.trains(ladder["id"])
    told = problem(coach.client.delete(f"/api/ladders/{ladder['id']}"), 409)
    assert "sessions are logged" in told["problem"]


def test_every_ready_ladder_can_be_placed_on_or_says_what_test_would(coach) -> None:
    athlete = coach.enrols()["id"]
    coach.post(f"/api/athletes/{athlete}/tests", id=str(uuid4()), movement="push-up", reps=12)
    found = coach.get(f"/api/athletes/{athlete}/placements")["ladders"]
    assert len(found) >= 20
    for one in found:
        assert one["rung"] or one["test"] or one["waits"] or one["closed"], one
    pushed = next(one for one in found if one["id"] == "full-push-up")
    assert pushed["rung"] == "Push-up"
    assert pushed["fits"]
    assert pushed["expected"]["likely"] == pytest.approx(12)
    assert pushed["narrower"]
    waiting = next(one for one in found if one["id"] == "hollow")
    assert "flat back" in waiting["waits"]
    unknown = next(one for one in found if one["id"] == "planche")
    assert (unknown["rung"], unknown["expected"]) == ("", None)


def test_the_catalogue_is_found_by_name_region_kit_and_family(coach) -> None:
    told = coach.get("/api/catalogue")
    assert len(told["movements"]) >= 160
    one = next(m for m in told["movements"] if m["id"] == "rear-foot-raised-split-squat")
    assert one["family"] in {family["name"] for family in told["families"]}
    assert "quads" in one["muscles"]
    assert "chair" in one["kit"]
    sheet = coach.get("/api/movements/squat")
    assert len(sheet["figures"]) == 2
    assert sheet["demand"]["derivation"]["formula"]
    assert sum(region["share"] for region in sheet["regions"]) == 100
    mine = coach.get(f"/api/movements/squat?athlete_id={coach.enrols(mass_kg=50.0)['id']}")
    assert mine["demand"]["likely"] < sheet["demand"]["likely"]
    assert coach.get("/api/movements/palm-squeeze")["demand"] is None
    assert problem(coach.client.get("/api/movements/flying"), 422)["field"] == "movement"


def test_figures_of_two_measures_do_not_mix(coach) -> None:
    """A ladder from bench dips to bar dips crosses measures; a person's own figures are fitted in
    the one that most was done in."""
    athlete = coach.enrols()["id"]
    for check in ("hands behind", "shoulder", "wrist"):
        shown = {"id": str(uuid4()), "check": check, "passed": True}
        coach.post(f"/api/athletes/{athlete}/readiness", **shown)
    for reps in (12, 13, 14, 15):
        test = {"id": str(uuid4()), "movement": "bench-dip", "values": {"knee": 80}, "reps": reps}
        coach.post(f"/api/athletes/{athlete}/tests", **test)
        coach.clock.pass_by(days=3)
    ladder = coach.post(f"/api/athletes/{athlete}/ladders", ready_ladder="dip")
    path = f"/api/ladders/{ladder['id']}/personal"
    alone = coach.get(path)
    coach.post(f"/api/athletes/{athlete}/tests", id=str(uuid4()), movement="dip", reps=2)
    assert coach.get(path) == alone
    assert alone["sets"] == 4
    sheet = coach.get(f"/api/ladders/{ladder['id']}")
    assert [bool(lane["reach"]) for lane in sheet["lanes"]] == [True, False, True]
