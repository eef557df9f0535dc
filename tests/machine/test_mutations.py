"""The bench of mutations: each still finds what it changes, and a change is killed or lives."""

from bench.mutated import MUTATIONS, Mutation
from bench.mutations import mutated

from invelo.runtime.settings import ROOT


def test_every_mutation_finds_its_text_and_its_tests() -> None:
    for one in MUTATIONS:
        before = (ROOT / one.path).read_text(encoding="utf-8")
        assert mutated(before, one) != before, one.name
        assert all((ROOT / test.split("::")[0]).exists() for test in one.tests), one.name
    names = [one.name for one in MUTATIONS]
    assert len(names) == len(set(names)) >= 30


def test_a_mutation_stays_within_its_symbol() -> None:
    text = (
        "LIMIT = 3\n\ndef one():\n    return LIMIT + 3\n\n"
        "class Two:\n    def one(self):\n        return 3\n"
    )
    inner = Mutation("x", "x.py", "Two.one", "3", "4", ())
    assert mutated(text, inner) == text[:-2] + "4\n"
    outer = Mutation("x", "x.py", "one", "3", "4", ())
    assert mutated(text, outer).count("LIMIT + 4") == 1
    typed = "export function one() {\n  return 3;\n}\n\nconst LIMIT = 3;\n"
    assert mutated(typed, Mutation("x", "x.ts", "LIMIT", "3", "4", ())).endswith("LIMIT = 4;\n")
