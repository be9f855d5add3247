"""The application: what serves a shop, on whatever database and file store it is given."""
