### page-record

photo-pair-after-service = After the service
photo-pair-before-service = Before the service
photo-pair-before = before
photo-pair-after = after
photo-pair-from-after-to-before = From after to before
photo-pair-how-much-before-shown = How much of before is shown
record-room-back-to-job = Back to the job
record-room-as-pdf = As PDF
record-room-check = Is it untouched?
record-room-data-file = Signed data file
record-room-print = Print
record-room-record = Record { $number }, { $maker } { $model }, { $customer_name }, { $updated_at }
record-room-not-measured-on-both = Not measured on both sides yet
record-room-came-in-with = It came in with: “{ $symptom }”
record-room-what-was-measured = What was measured
record-room-u-expanded-uncertainty-k = U is the expanded uncertainty, k = 2. A change smaller than U is not claimed.
record-room-attempts = Attempts side by side
record-room-what-was-done = What was done
record-room-cleaned = Cleaned: { $join }.
record-room-lot = , lot { $lot }
record-room-agreed = Agreed: { $reason } “{ $words }” ({ $acknowledged_by }, { $acknowledged_at })
record-room-nothing-noted-yet = Nothing is noted yet.
record-room-price = Price
record-room-next-service = Next service
record-room-how-was-measured = How it was measured
record-room-opening-record = Opening the record …
record-room-lead = { $device }: { $verdict }
record-room-before = Before
record-room-now = Now
record-room-means = What that means
record-room-what-to-do = What you should do
record-room-warranty = Our work is warranted
record-room-until = until { $day }
record-room-details = The measurement in detail
record-room-at-the-bench = At the bench
