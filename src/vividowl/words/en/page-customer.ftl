### page-customer

customer-title = Your record
customer-record = Record { $number }, { $day }
customer-version = Version { $number }. What was put right: { $why }
customer-opening = Opening your record …
customer-keep = Keep it
customer-pdf = As PDF
customer-zip = As signed data file, with all that was measured
customer-check = Check a data file
customer-until = This link is good until { $day }. The shop counts how often it is opened and keeps nothing else.
customer-unknown = This link leads nowhere
customer-withdrawn = This link was withdrawn by the shop
customer-over = This link is over
customer-often = This was tried too often; wait an hour
customer-offline = No connection
customer-again = Try again
customer-ask-shop = Ask the shop for a new one.
customer-dates = Dates for your calendar
