"""What happened at the bench: events, what each may and does, the state they make, when a job may close."""
