"""What guards every request."""

import json
from uuid import uuid4

import pytest
from fastapi.testclient import TestClient

from invelo.api.app import create_app
from invelo.api.common.cookies import SESSION_COOKIE
from invelo.api.common.guards.security import BODY_LIMIT
from invelo.db.database import engine_for
from invelo.runtime.settings import Settings
from tests.api.coach import EMAIL, PASSWORD, problem

BODY = {"email": EMAIL, "password": PASSWORD}


@pytest.mark.parametrize("path", ["/", "/squad", "/api/health", "/api/nothing"])
def test_every_answer_carries_the_security_headers(new_client, path: str) -> None:
    headers = new_client().get(path).headers
    policy = headers["content-security-policy"]
    assert "default-src 'self'" in policy
    assert "frame-ancestors 'none'" in policy
    assert "unsafe" not in policy
    assert headers["x-content-type-options"] == "nosniff"
    assert headers["referrer-policy"] == "no-referrer"
    assert headers["cache-control"] == "no-store"


def test_the_page_and_its_policy_share_a_nonce_made_for_the_request(new_client) -> None:
    first, second = new_client().get("/"), new_client().get("/")
    for page in (first, second):
        policy = page.headers["content-security-policy"]
        nonce = policy.split("'nonce-", 1)[1].split("'", 1)[0]
        assert f'content="{nonce}"' in page.text
    assert first.text != second.text


@pytest.mark.parametrize(
    ("headers", "status"),
    [
        ({"Sec-Fetch-Site": "cross-site"}, 403),
        ({"Sec-Fetch-Site": "same-site"}, 403),
        ({"Origin": "https://elsewhere.example"}, 403),
        ({"Origin": "null"}, 403),
        ({"Sec-Fetch-Site": "same-origin"}, 200),
        ({"Origin": "http://localhost"}, 200),
        ({}, 200),
    ],
)
def test_writes_from_other_sites_are_refused(coach, new_client, headers, status) -> None:
    response = new_client().post("/api/sign-in", json=BODY, headers=headers)
    assert response.status_code == status
    if status == 403:
        assert problem(response, 403)["field"] == "origin"


def test_reads_from_other_sites_may_ask_but_carry_no_cookie(coach) -> None:
    response = coach.client.get("/api/health", headers={"Sec-Fetch-Site": "cross-site"})
    assert response.status_code == 200
    assert "access-control-allow-origin" not in response.headers


def test_every_request_has_a_name_that_its_problem_tells(new_client) -> None:
    client = new_client()
    first, second = client.get("/api/squad"), client.get("/api/nothing")
    names = [answer.headers["x-request-id"] for answer in (first, second)]
    assert [answer.json()["request_id"] for answer in (first, second)] == names
    assert len(set(names)) == 2
    asked = client.get("/api/health", headers={"X-Request-ID": "mine"})
    assert asked.headers["x-request-id"] not in ("mine", *names), "names are made here"


def test_an_error_nobody_foresaw_tells_the_name_too(new_client, monkeypatch) -> None:
    def broken(*_: object) -> None:
        raise RuntimeError("unforeseen")

    monkeypatch.setattr("invelo.services.account.accounts.for_token", broken)
    client = new_client()
    client.cookies.set(SESSION_COOKIE, "any", domain="localhost.local", path="/api")
    answer = client.get("/api/squad")
    assert problem(answer, 500)["field"] == "service"
    assert answer.json()["request_id"] == answer.headers["x-request-id"] != ""


@pytest.mark.parametrize("https", [False, True])
def test_where_https_is_browsers_are_told_to_use_nothing_else(https: bool) -> None:
    app = create_app(Settings(secure_cookies=https), engine_for("postgresql+psycopg://nowhere/x"))
    with TestClient(app, base_url="http://localhost") as client:
        said = client.get("/api/openapi.json").headers.get("strict-transport-security")
    assert said == ("max-age=31536000" if https else None)


def test_other_host_names_are_refused(new_client) -> None:
    response = new_client().get("/api/health", headers={"Host": "elsewhere.example"})
    assert response.status_code == 400


@pytest.mark.parametrize("host", ["localhost:8400", "127.0.0.1:8400", "[::1]:8400"])
def test_own_host_names_are_answered(new_client, host: str) -> None:
    assert new_client().get("/api/health", headers={"Host": host}).status_code == 200


def test_a_large_body_is_refused(coach) -> None:
    response = coach.client.post("/api/sign-in", content=b"x" * (BODY_LIMIT + 1))
    assert problem(response, 413)["field"] == "body"


def enrolment(size: int) -> bytes:
    """A whole, valid request to enrol someone, blown up by blanks to so many bytes."""
    person = {"id": str(uuid4()), "name": "Oda Fenwick", "mass_kg": 75, "stature_m": 1.75}
    text = json.dumps({**person, "consent": True})
    return (text[:-1] + " " * (size - len(text)) + "}").encode()


@pytest.mark.parametrize(("size", "status"), [(BODY_LIMIT, 201), (BODY_LIMIT + 1, 413)])
def test_a_body_without_a_length_is_read_up_to_the_limit(coach, size: int, status: int) -> None:
    """It is valid JSON all the way; only its size is wrong."""
    whole = enrolment(size)

    def pieces():
        for start in range(0, size, 10_000):
            yield whole[start : start + 10_000]

    response = coach.client.post(
        "/api/athletes", content=pieces(), headers={"Content-Type": "application/json"}
    )
    assert "content-length" not in response.request.headers
    assert response.status_code == status, response.text
    assert len(coach.get("/api/squad")["athletes"]) == (status == 201)


def test_a_body_cut_off_on_its_way_writes_nothing(coach) -> None:
    half = enrolment(400)[:200]
    response = coach.client.post(
        "/api/athletes", content=iter([half]), headers={"Content-Type": "application/json"}
    )
    assert problem(response, 422)["field"] == "body"
    assert coach.get("/api/squad")["athletes"] == []


@pytest.mark.parametrize(
    "content", [b"", b"not json", b"[1, 2", b'"text"', b"[]", b"\xff\xfe", b"null"]
)
def test_a_body_that_is_no_json_object_is_refused(coach, content: bytes) -> None:
    response = coach.client.post(
        "/api/athletes", content=content, headers={"Content-Type": "application/json"}
    )
    assert problem(response, 422)["field"] == "body"


def test_a_form_is_no_json(coach) -> None:
    response = coach.client.post("/api/athletes", data={"name": "Oda"})
    assert response.status_code == 422


def test_an_unknown_address_is_a_problem_document(new_client) -> None:
    assert "openapi" in problem(new_client().get("/api/nothing"), 404)["remedy"]


def test_an_unknown_method_is_a_problem_document(new_client) -> None:
    assert new_client().patch("/api/me").status_code == 405


def test_assets_are_kept_by_the_browser(new_client, app) -> None:
    dist = app.state.settings.web_dist
    asset = next((dist / "assets").glob("*.js"))
    response = new_client().get(f"/assets/{asset.name}")
    assert "immutable" in response.headers["cache-control"]


def test_assets_cannot_lead_out_of_their_folder(new_client) -> None:
    assert new_client().get("/assets/%2e%2e/%2e%2e/package.json").status_code == 404
