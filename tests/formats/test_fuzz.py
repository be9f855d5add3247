"""A sample of mutated files; bench/fuzz.py reads two thousand."""

from tests.fuzz import KINDS, fuzz


def test_what_has_gone_wrong_with_a_file_is_read_or_refused_in_words(tmp_path):
    outcomes, faults = fuzz(tmp_path, 150, 5)
    assert faults == []
    for kind in KINDS:
        assert outcomes[kind, "read"] + outcomes[kind, "refused"] == 30
    assert sum(outcomes[kind, "read"] for kind in KINDS) > 15
    assert sum(outcomes[kind, "refused"] for kind in KINDS) > 15
