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
run-list-held = Throttled
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
run-list-compare-pick = Pick two runs to compare them, or several as a group.
run-list-group = These as first group
run-list-group-back = No group
run-list-group-now =
    { $n ->
        [one] One run is the first group. Pick those it is compared with.
       *[other] { $n } runs are the first group. Pick those they are compared with.
    }
run-list-groups = Two groups of runs
run-list-groups-unknown = Nothing tells how far runs scatter: repeat one of them.
run-list-groups-differ =
    { $shown ->
        [yes] The second group: { $change }, shown
       *[other] No difference shown: { $change }
    }
run-list-groups-first = First { $mean } from { $n }.
run-list-groups-second = Second { $mean } from { $n }.
run-list-groups-unlike = Not alike in all of these runs: { $names }. The difference may be theirs.
run-list-also = Also show
run-list-also-none = nothing more
run-list-wish = The customer wants it
run-list-wish-cooler = Cooler
run-list-wish-quieter = Quieter
run-list-wish-faster = Faster
run-list-held-alike = Read between the runs of each at the same { $figure }: { $at }. Nothing is read outside of them.
run-list-one-speed = All are brought to one fan speed, { $rpm } rpm.
run-list-burn-in-over = Over
run-list-over-heat_cycles = Heat cycles since fitting
run-list-over-hours = Hours since fitting
run-list-over-days = Days since fitting
run-list-burn-in-without =
    { $n ->
        [one] For one run since the fitting nobody noted the count.
       *[other] For { $n } runs since the fitting nobody noted the count.
    }
plan-runs = Plan the runs
plan-runs-words = Name what will change and its levels, the first as it is now. The sets below separate the changes; none is stored.
plan-runs-factor = What changes
plan-runs-levels = Levels, with a comma between
plan-runs-add = One more change
plan-runs-take-off = Leave { $factor } out
plan-runs-want = Smallest difference to show
plan-runs-propose = Propose runs
plan-runs-full = All combinations
plan-runs-half = Half of the combinations
plan-runs-one_at_a_time = One change at a time
plan-runs-count =
    { $hand ->
        [0] { $n } runs
       *[other] { $n } runs, { $hand } in hand
    }
plan-runs-tells-pairs = Tells every change, and whether two of them add up.
plan-runs-tells-changes = Tells every change, but not whether two of them add up.
plan-runs-mixed = What it cannot tell: { $mixed }.
plan-runs-in-hand = in hand
plan-runs-repeats =
    { $n ->
        [one] One run of each is enough to show it nine times in ten: what is left is ± { $u95 }.
       *[other] { $n } runs of each side show it nine times in ten; what is left is ± { $u95 }. One run scatters by { $sd }.
    }
plan-runs-no-scatter = How far one run scatters is not known yet, so that nothing says how many repeats it takes.
run-list-compared = { $first } against { $second }
run-list-rank = Rank
run-list-by = By
run-list-of = Of
run-list-place = Place
run-list-mean = Mean
run-list-runs = Runs
run-list-across = Across
run-list-across-none = nothing: one order
run-list-not-run = not run
run-list-too-few-across = { $level }: fewer than two can be ranked.
run-list-tie = not told from { $names }
run-list-no-place = –
run-list-unlike = They also differ in { $names }, so that the order may be theirs.
run-list-without =
    { $n ->
        [one] One run does not say it and is left out.
       *[other] { $n } runs do not say it and are left out.
    }
run-list-nothing-differs = Runs with another material, fan setting, placement or state can be ranked here.
run-list-best =
    { $wish ->
        [cooler] Best for cooler: { $names }
        [quieter] Best for quieter: { $names }
        [faster] Best for faster: { $names }
       *[other] Best: { $names }
    }
run-list-add = Add runs
run-list-add-files = Choose logs
run-list-add-words = One run per file, with the conditions of the run they follow. What a file name says is filled in as a guess.
run-list-add-hint = Several at once, or a folder
run-list-add-folder = Choose a whole folder
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
run-list-take-off = Remove
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
run-list-factors-need-two = Note what changed on each run, such as firmware, tuning or material: two or more changes are separated here.
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
    { $since ->
        [hours] Provisional: about { $n } more { $n ->
            [one] hour
           *[other] hours
        }.
        [days] Provisional: about { $n } more { $n ->
            [one] day
           *[other] days
        }.
       *[other] { $n ->
            [one] Provisional: one more heat cycle.
           *[other] Provisional: { $n } more heat cycles.
        }
    }
run-list-burn-in-ends = It ends at { $final } ± { $u95 } K/W.
run-list-burn-in-chart = Resistance over { $over }: { $points }
run-list-make-before = As Before
run-list-make-before-of = Use { $name } as Before
run-list-make-after = As After
run-list-make-after-of = Use { $name } as After
run-list-made = { $name } is the { $side ->
        [before] Before
       *[after] After
    } now; what was it before stays as a further run.
