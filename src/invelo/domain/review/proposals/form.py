"""Then form: a set that lost it opens no criterion; sides that differ are evened out."""

from invelo.domain.review.proposals.situation import Proposal, Situation, on_course, set_figures


def form(situation: Situation) -> Proposal | None:
    """Stay while form goes."""
    last = situation.last
    lost = [i + 1 for i, s in enumerate(last) if not s.form_ok and not (s.asked and s.asked.open)]
    if not lost:
        return None
    return on_course(
        situation,
        f"Form went in set {', '.join(map(str, lost))}. Stay on this rung until every set is "
        "clean; take the easier rung the moment form goes.",
        set_figures(last),
        "form.first",
    )
