"""The counter: taking a device in and giving it back, signed for, and what is offered in between."""
