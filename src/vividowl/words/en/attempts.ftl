### attempts

evidence-fast_large = The part of the response faster than 3 s is { FIX($fast, 2) } K/W; { $of ->
    [promised] promised was { FIX($against, 2) } K/W at most
   *[before] before it was { FIX($against, 2) } K/W
  }.
evidence-fast_small = The part of the response faster than 3 s is { FIX($fast, 2) } K/W; { $of ->
    [promised] up to { FIX($against, 2) } K/W was promised
   *[before] before it was { FIX($against, 2) } K/W
  }.
evidence-slow_large = Heatsink and air grew from { FIX($was, 2) } to { FIX($slow, 2) } K/W.
evidence-slow_same = Heatsink and air did not grow: { FIX($was, 2) } before, { FIX($slow, 2) } K/W after.
evidence-one_chip = One chip is worse, the other is not.
evidence-both_chips = Both chips are worse.
evidence-fan_stands = The fan stands still under load.
evidence-fan_slower = The fan turns slower than before: { FIX($was, 0) } → { FIX($now, 0) } rpm.
evidence-fan_at_speed = The fan turns as fast as before or faster: { FIX($was, 0) } → { FIX($now, 0) } rpm.
evidence-shrinks = It shrinks from run to run: { FIX($first, 2) } → { FIX($last, 2) } K/W.
evidence-steady = It does not shrink from run to run: { FIX($first, 2) } → { FIX($last, 2) } K/W.
evidence-young = A phase change needs heat cycles; { $cycles ->
    [none] nobody counted any
   *[other] { SIG($cycles) } are behind it
  }.
evidence-run_in = { SIG($cycles) } heat cycles are behind it.
evidence-film_step_open = The step “peel the second film” was not done as listed.
evidence-film_step_done = The step “peel the second film” was ticked.
evidence-screws_open = Screws stayed out or were left over.
evidence-screws_counted = All screws of the map were counted in.
evidence-seated_unseen = The cooler went on without a last look at what lay beneath.
evidence-wait_cut = The wait for the solvent was cut short.
evidence-wait_whole = The wait for the solvent was kept.
evidence-fan_checked = At the first power-on the fan was seen turning.
evidence-screw_mishap = A screw or clip was stripped, lost or broken.
evidence-film_mishap = The film was touched or torn.
evidence-pad_tight = A pad is thicker than its gap allows somewhere in its tolerance.
evidence-fins_not_cleaned = The fins are not noted as cleaned.
evidence-fins_cleaned = The fins are noted as cleaned.
evidence-cores_apart = The cores are { FIX($now, 0) } K apart under load{ $was ->
    [none] {""}
   *[other] , { FIX($was, 0) } K before
}: one corner has less contact.
evidence-print_one_sided = The print is pressed on one side only.
evidence-print_bald = The print has a bald patch.
evidence-print_liquid = The print is still liquid.
evidence-print_full = The print is full to the corners.

cause-film = A film was left on the sheet or a pad
    .check = Lift the cooler; look at both faces of sheet and pads against the light
    .remedy = Peel both films, and lay the two films of each piece beside the device until it is closed
cause-seat = The cooler does not sit flat
    .check = Count its screws; look for a cable or a clip beneath its edge
    .remedy = Seat it straight down, all screws by two turns first, then in the order of the map
cause-lifted = A pad or shim holds the cooler off the die
    .check = Look at the print on the die: pale or round means that it hardly touched
    .remedy = Take the next thinner pad, or putty, and try the print before power
cause-too_little = Too little on the die, or a bald corner
    .check = Lift the cooler straight up; look for a bald corner in the print
    .remedy = Spread a film over the whole die, to the corners
cause-fan_plug = The fan is not plugged in, or does not turn
    .check = Listen at the vent under load; then look at the fan's plug
    .remedy = Plug it in until it clicks, and see it turn before the cover goes on
cause-not_run_in = The phase change has not run in yet
    .check = Two more heat cycles, then the same run again
    .remedy = Leave it closed; measure again after the cycles
cause-solvent = The solvent has not left; it is still liquid inside
    .check = Lift the cooler; touch the edge of the film with a card: it must not smear
    .remedy = Wipe it off, lay it anew, and keep the whole wait in the open
cause-alloy_bald = The alloy did not wet the whole face
    .check = Lift the cooler; look for dull spots on die and plate
    .remedy = Rub it in again on both faces until each shines to its edge
cause-air = The air does not get through
    .check = Hold a strip of paper at the vent under load; look into the fins from both sides
    .remedy = Clean the fins from both sides, and look that no cable or pad stands in the way of the air
cause-else = Something that is not on this list
    .check = Run Before's recipe once more: same load, same place, same fan, room noted
    .remedy = Note what it was, in a few words

attempts-after-run = After, attempt { $number }
attempts-conditions-only = Conditions of attempt { $number }, taken back
attempts-something-done = Something was done in attempt { $number } already.
attempts-take-off-first = Take it off first, the last thing first.
attempts-first = There is no attempt before the first.
    .remedy = Begin an attempt first.
attempts-no-such = There is no attempt { $number }.
    .remedy = { runs-reload-page }
attempts-attempt = attempt { $number }
attempts-of-earlier = This was done before attempt { $number } began, and is kept apart.
    .remedy = Reload the job and carry on with the present attempt.
next-find_out_why = { $model }: find out why it is no better
handover-service-failed =
    { $failure ->
        [worse] The device is worse than before.
       *[other] The device is no better, although the plan promised it.
    }
    .remedy = Find out why first; or note there why it stays as it is.

attempts-row-fitted = Fitted
attempts-row-cleaned = Cleaned
attempts-row-verdict = Verdict
attempts-row-resistance = Thermal resistance, K/W
attempts-row-interface = of it faster than 3 s, K/W
attempts-row-noise = Noise, dB
attempts-row-cause = Cause found
attempts-row-surface = Surface, of 5
attempts-row-print = Print, of 5
attempts-row-words = Noted
attempts-not-measured = not measured
attempts-row-left = Left as it is
attempts-figure = { FIX($value, $digits) }{ $u95 ->
    [none] {""}
   *[other] {" "}± { FIX($u95, $digits) }
  }
