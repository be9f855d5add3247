### page-shared

format-not-known = not known
format-not-set = not set
