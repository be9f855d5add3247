"""The shop itself: members and sessions, its settings and ways. No job is touched here."""
