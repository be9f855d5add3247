### page-verdict

effect-table-no-difference = no difference
effect-table-change-u = change ± U
effect-table-shows = shows
verdict-page-go-on-to-hand = Go on to Hand over
verdict-page-find-out-why = Find out why
verdict-page-exhaust-got-hotter = The exhaust got hotter
verdict-page-u-expanded-uncertainty-k = U is the expanded uncertainty, k = 2. A change smaller than U is not claimed.
verdict-page-uncertainty-after-jcgm-sensor = Uncertainty after JCGM 100: sensor, room thermometer, run to run and the spread in the window, combined in quadrature; what the same sensor adds to both runs cancels in the change.
rests-on =
    What it rests on{ $open ->
        [0] { "" }
       *[other] : { $open } not sure
    }
rests-on-assumed = Taken to be the same
rests-on-known = Known how
rests-on-why = Why
verdict-page-conditions-side-by-side = Conditions, side by side
sensor-table-sensor = Sensor
sensor-table-change = at equal work ± U
sensor-table-its-limit = its limit
sensor-table-better = better
sensor-table-worse = worse
sensor-table-changed = changed
sensor-table-limit = { $limit } °C{ $noted ->
    [yes] { "" }
   *[no] , usual
}
sensor-table-over = { $over } K over it
sensor-table-is = Change at the watts, the fan and the room of Before. A usual limit is from memory: note the maker's with the device.
