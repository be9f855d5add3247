"""Tables as spreadsheets write and read them."""
