### page-forms

field-is-needed = This is needed.
field-no-number = “{ $typed }” is no number.
field-no-whole-number = “{ $typed }” is no whole number.
field-not-known = Not known
