### page-shared

format-not-known = nicht bekannt
format-not-set = nicht festgelegt
