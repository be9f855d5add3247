"""What keeps the application from starting."""


class LaunchError(RuntimeError):
    """The application cannot start. One line, says what to do."""
