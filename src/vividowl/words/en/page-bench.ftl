### page-bench

bench-open-next-step = Open the next step
bench-bench = Bench
bench-try-again = Try again
bench-bench-clear = The bench is clear
bench-take-device-in-say = Start a new job: note what the customer says, then drop the log and see where the heat builds up.
bench-take-device-in = New job
bench-next-for-your-hands = Up next
bench-no-no-symptom-noted =
    { $symptom ->
        [yes] “{ $symptom_2 }”
       *[no] No symptom noted
    } · { $customer_name } · job { $number }
bench-open-step = Open the step
bench-devices-on-bench = { $count } devices on the bench.
bench-all-jobs-with-those = All jobs, with those handed over
bench-row-stopped-for-safety = Stopped for safety
wait-strip-waits-that-run = Waits that run
wait-strip-meanwhile = Timers
wait-strip-over-go-on = over, go on
