### page-job

condition-table-condition = Condition
condition-table-before = before
condition-table-after = after
condition-table-so = so it is
effect-table-not-known = not known
effect-table-what = What
gates-stopped-for-safety = Stopped for safety. { $reason }
gates-what-was-agreed-in = What was agreed, in words
gates-acknowledge = Acknowledge
intake-limits-if-known = Limits, if known
job-room-verdict = Verdict
job-room-go-to = Go to { $name }
job-room-one-stage-back = One stage back
job-room-after = After
job-room-reading = Reading
job-room-job-cannot-be-shown = The job cannot be shown
job-room-to-bench = To the Bench
job-room-by-job = { $kind } by { $maker }, job { $number }, { $customer_name }
job-room-stopped-for-safety = Stopped for safety
job-room-handed-over = Handed over
job-room-where-heat-stops = Where the heat builds up
job-room-opening-job = Opening the job …
open-items-to-settle = To settle: { $reason }
open-items-before-no-log-yet = Before: no log yet
open-items-before-room-not-noted = Before: the room is not noted
open-items-plan-not-decided = Plan: not decided
open-items-bench-work-not-closed = Bench work: not closed
open-items-run-in =
    { $more ->
        [none] Burn-in: give it heat cycles and run it again
        [one] Burn-in: one more heat cycle, { FIX($minutes, 0) } min, over by { $due } if it begins now
       *[other] Burn-in: { $more } more heat cycles, { FIX($minutes, 0) } min, over by { $due } if they begin now
    }
open-items-after-no-log-yet = After: no log yet
open-items-after-room-not-noted = After: the room is not noted
open-items-price-not-set = Price not set
open-items-still-open = Still open
open-items-nothing-open = Nothing is open.
open-items-conditions = Conditions
gates-noted-with-your-name = Noted with your name and the time.
job-room-device = Device
job-room-attempts = { $number ->
    [1] Find out why
   *[other] Attempt { $number }
  }
job-room-all-runs = All runs
job-room-counter = Counter
intake-open = still open
open-items-limits = Limits: not noted
open-items-factory = Lid and factory material: not noted
open-items-warranty = Warranty and seal: not asked
