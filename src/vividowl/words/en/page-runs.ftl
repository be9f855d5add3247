### page-runs

run-list-all-runs = All runs
run-list-a-row-a-log = A row is a log. Pick two to compare them, or rank all by what differs.
run-list-back-to-job = Back to the job
run-list-opening = Opening the runs …
run-list-try-again = Try again
run-list-run = Run
run-list-state = State
run-list-conditions = Conditions
run-list-rise = Rise
run-list-resistance = Resistance
run-list-power = Power
run-list-clock = Clock
run-list-fan = Fan
run-list-held = Held back
run-list-sag = Sag
run-list-noise = Noise
run-list-score = Score
run-list-pick = Pick { $name }
run-list-before = Before
run-list-after = After
run-list-repeat = repeat
run-list-repeat-of = repeat of { $name }
run-list-no-log = no log yet
run-list-not-settled = not settled
run-list-state-of = { $position }. { $cause }
run-list-compare = Compare the two
run-list-compare-pick = Pick two runs to compare them.
run-list-compared = { $first } against { $second }
run-list-rank = Rank
run-list-by = By
run-list-of = Of
run-list-place = Place
run-list-mean = Mean
run-list-runs = Runs
run-list-tie = not told from { $names }
run-list-no-place = –
run-list-unlike = They also differ in { $names }, so that the order may be theirs.
run-list-without =
    { $n ->
        [one] One run does not say it and is left out.
       *[other] { $n } runs do not say it and are left out.
    }
run-list-nothing-differs = Runs with another material, fan setting, placement or state can be ranked here.
run-list-best = Best: { $names }
run-list-add = Add runs
run-list-add-files = Choose logs
run-list-add-words = One run for each file, with the conditions of the one they follow. What a file name tells is filled in as a guess.
run-list-add-hint = Several at once
run-list-like = Conditions of
run-list-in-state = In state
run-list-reading = Reading { $name } …
run-list-added =
    { $n ->
        [one] One run was added
       *[other] { $n } runs were added
    }
run-list-refused = { $name }: { $why }
run-list-guess = guessed from the file name
run-list-next-state = Next state
run-list-next-state-words = Another firmware, a tuning step, heat cycles or another attempt make a state of their own; runs that follow belong to it.
run-list-what-changed = What changed
run-list-firmware = Firmware
run-list-tuning = Tuning
run-list-cycles = Heat cycles since fitting
run-list-words = In words
run-list-add-state = Begin this state
run-list-state-begun = State { $position } has begun
run-list-take-off = Take off
run-list-taken-off = { $name } was taken off
run-list-open = Open
run-list-attempt = Attempt { $attempt }
run-list-cycles-since =
    { $cycles ->
        [one] after one heat cycle
       *[other] after { $cycles } heat cycles
    }
run-list-filter = Show
run-list-filter-all = all states
run-list-only-other = Before and After stay; further runs can be taken off.
run-page-run = Run “{ $name }”
run-page-all-runs = All runs
run-list-only = Only { $factor }
run-list-all-mixed = all, mixed
run-list-material = Put on the die
run-list-material-same = the same as before
run-list-product = Product
run-list-factors = What came from what
run-list-factors-words = Changes made together cannot be told apart afterwards; with runs at enough of their combinations they can.
run-list-factors-need-two = Note on the runs what changed, such as firmware, tuning or material: from two changes on they are told apart here.
run-list-change = Change
run-list-from-to = From, to
run-list-brought = Brought
run-list-shows = Shows
run-list-shown = shown
run-list-not-shown = not shown
run-list-not-told = not told
run-list-rest = Unexplained
run-list-missing = Runs that are missing; those in bold would tell all apart
run-list-missing-but-told = Not run, and not needed to tell these apart
run-list-and-more = and { $n } more
run-list-before-at = before { $value }
run-list-after-at = after { $value }
run-list-bar = { $term } { $change }
run-list-bar-unknown = { $term } not known
run-list-burn-in = Burn-in
run-list-burn-in-unknown = Not known yet.
run-list-burn-in-settled = It has run in.
run-list-burn-in-going-on = It still changes.
run-list-burn-in-more =
    { $n ->
        [one] Provisional: one more heat cycle.
       *[other] Provisional: { $n } more heat cycles.
    }
run-list-burn-in-ends = It ends at { $final } ± { $u95 } K/W.
run-list-burn-in-chart = Resistance over heat cycles: { $points }
