### page-shop

habits-price-and-ways-shop = Pricing and defaults
habits-rate-hour-without-tax-2 = Rate of an hour, without tax
habits-tax = Tax
habits-when-prices-carry-none = 0 when prices carry none
habits-paste-goes-on-as = Paste goes on as
habits-schools-differ-plan-says = Schools differ; the plan says which was used and why
habits-next-look = Next service
habits-paste-to-months-phase = Paste 12 to 36 months, phase change 3 to 5 years, by school
habits-screws-without-numbers = Screws without numbers
habits-first-round-coolers-screws = First round of the cooler’s screws; both schools are taught
habits-minutes-hands-task-by = Labour in minutes, task by task
habits-usual-min-min-waiting =
    usual { $hands_min } min{ $wait_min ->
        [yes] , and { $wait_min_2 } min of waiting
       *[no] { "" }
    }{ $learnt_min ->
        [none] { "" }
       *[other] ; the bench shows { $learnt_min } min over { $learnt_jobs } jobs
    }
habits-how-right-were-your = How right were your predictions?
habits-measured-jobs-ended-inside = { $inside } of { $jobs } measured jobs ended inside their interval of 80 %: { $share } %, and by chance it could be { $low } to { $high } %.
habits-no-planned-job-was = No planned job was measured After yet. Each one that is counts here.
shop-type-temperature-in-c = Type a temperature in °C.
shop-type-number = Type a number.
shop-how-sure-your-instruments = How sure are your instruments?
shop-every-figure-carries-its = Every figure carries its uncertainty, and a change smaller than that is not claimed. Each value here is half of the width within which the true one lies. The usual ones are from memory; put in what your data sheets say.
shop-only-owner-may-change = Only an owner may change these.
shop-you-can-look-at = You can look at them.
shop-reference-room = Reference room
shop-watts-device-can-hold = The watts a device can hold are stated for this room
shop-usual = { $hint }; usual { $t } { $unit }
shop-save = Save
shop-fill-in-usual-tolerances = Fill in the usual tolerances
sign-ins-edge = Edge
sign-ins-chromium-family = Chromium family
sign-ins-signed-out-there = Signed out there.
sign-ins-where-you-signed-in = Where you are signed in
sign-ins-since-utc-last-seen = since { $began_at } UTC, last seen { $seen_at } UTC
sign-ins-this-one = this one
sign-ins-sign-out-since = Sign out { $agent }, since { $began_at }
sign-ins-sign-out-there = Sign out there
habits-die-and-paste-decide = Die and paste decide
habits-spread-film = A spread film
habits-careful-sooner = Careful, sooner
habits-usual = Usual
habits-long = Long
habits-half-turns-then-fully = Half the turns, then fully
habits-turns-then-fully = 70 % of the turns, then fully
tolerances-run-to-run = Run to run
tolerances-same-device-tested-twice = The same device tested twice; repeats replace it
tolerances-room-thermometer = Room thermometer
tolerances-at-bench = At the bench
tolerances-die-sensor = Die sensor
tolerances-repeatability-sensor-on-chip = Repeatability of the sensor on the chip
tolerances-power-sensor = Power sensor
tolerances-what-device-says-its = What the device says of its watts
tolerances-clock = Clock
tolerances-mean-clock-run = Mean clock of a run
tolerances-sound-meter = Sound meter
tolerances-same-fan-read-twice = The same fan read twice
tolerances-noise-in-another-room = Noise in another room
tolerances-what-fan-that-follows = What a fan that follows the heat adds
tolerances-benchmark-result = Benchmark result
tolerances-two-runs-one-benchmark = Two runs of one benchmark
shop-saved-verdicts-open-jobs = Saved. Verdicts of open jobs follow.
