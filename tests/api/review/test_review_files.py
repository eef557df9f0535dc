"""Reviews as files: a PDF for the coach, a report in Markdown for the athlete."""

import pypdfium2
import pytest

from tests.api.coach import Coach


@pytest.fixture
def ladder(stage, coach: Coach) -> dict:
    return stage("six sessions", lambda: six_sessions(coach))  # type: ignore[no-any-return]


def six_sessions(coach: Coach) -> dict:
    """One step up taken, a stop declined after pain."""
    made = coach.has_ladder()
    coach.trains(made["id"])
    step = coach.trains(made["id"])
    coach.post(f"/api/proposals/{step['id']}/answer", answer="accept")
    for _ in range(3):
        coach.trains(made["id"], (8, 8, 7), rpe=9)
    hurt = coach.trains(made["id"], (7, 7, 7), pain=4, pain_place="wrist")
    coach.post(f"/api/proposals/{hurt['id']}/answer", answer="decline", note="wrist first")
    return made


def get(coach: Coach, ladder: dict, **query: object):
    path = f"/api/ladders/{ladder['id']}/review/file"
    return coach.client.get(path, params=query)


def test_the_report_tells_what_was_done_and_what_comes(coach: Coach, ladder: dict) -> None:
    told = get(coach, ladder, kind="md", weeks=4)
    assert told.headers["content-type"].startswith("text/markdown")
    text = told.text
    assert text.startswith("# 4 weeks towards: Decline push-up with a bag")
    assert "- 6 sessions of " in text
    assert "- 18 sets, 18 of them clean throughout" in text
    assert "step up, “" in text
    assert "## What comes next" in text
    assert "not medical advice" in text


def test_the_report_says_nothing_of_health(coach: Coach, ladder: dict) -> None:
    text = get(coach, ladder, kind="md").text.lower()
    assert not any(note in text for note in ("pain", "wrist", "clinician"))


def test_the_review_is_printed_with_its_rules(coach: Coach, ladder: dict) -> None:
    told = get(coach, ladder, kind="pdf", weeks=4)
    assert told.headers["content-type"] == "application/pdf"
    pdf = pypdfium2.PdfDocument(told.content)
    text = "".join(page.get_textpage().get_text_range() for page in pdf)
    flat = " ".join(text.split())
    assert "Review: Decline push-up with a bag" in flat
    assert "declined: wrist first" in flat
    assert "Sessions 6 of" in flat
    assert "common practice" in flat
    assert "Oda Fenwick" in flat
    assert pdf[0].get_size() == pytest.approx((595.3, 841.9), abs=0.5)


def test_letter_is_letter(coach: Coach, ladder: dict) -> None:
    pdf = pypdfium2.PdfDocument(get(coach, ladder, kind="pdf", paper="letter").content)
    assert pdf[0].get_size() == pytest.approx((612, 792), abs=0.5)


@pytest.mark.parametrize("kind", ["pdf", "md"])
def test_before_the_first_session_there_is_a_file_too(
    coach: Coach, ladder: dict, kind: str
) -> None:
    told = get(coach, ladder, kind=kind)
    assert told.status_code == 200
    assert len(told.content) > 200


@pytest.mark.parametrize("query", [{}, {"kind": "doc"}, {"kind": "md", "weeks": 0}])
def test_odd_questions_are_refused(coach: Coach, ladder: dict, query: dict) -> None:
    assert get(coach, ladder, **query).status_code == 422
