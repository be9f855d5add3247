### page-shared

format-not-known = no se sabe
format-not-set = sin fijar
