"""Which rules made the figures and verdicts that are kept."""

# Raised by one with every change after which the same log gives another figure or another verdict. What older rules
# made is then made anew in the background. tests/service/test_rules_version.py holds both together.
RULES_VERSION = 1
