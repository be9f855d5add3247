### page-close

bench-story-what-happened-on-way = What happened on the way
bench-story-told-by-at-no =
    Told by { $by } at { $at }: “{ $words }”. { $checked ->
        [yes] Checked: { $checked_2 }.
       *[no] To check: { $check }
    }
bench-story-checked = Checked: { $checked }.
bench-story-to-check = To check: { $check }
close-page-close-count-in-equals = Close: count in equals count out
close-page-map-with-order-to = Map with the order to tighten
close-page-order-for =
    Order for the { $words }, { $by_number ->
        [yes] by the printed numbers
       *[no] a diagonal from the positions
    }. { $join }.
close-page-nothing-on-map-so = Nothing is on the map, so nothing can be counted. Screws are mapped in Open.
close-page-left-over-in-tray = Left over in the tray
close-page-where-they-come-from = Where they come from
close-page-empty-while-not-known = empty while not known
close-page-note = Note it
close-page-first-power-on-before = First power-on, before the last screws
close-page-keep-for-next = Keep for the next { $model }
close-page-map-outline-own-steps =
    Map, outline, own steps, dies and gaps.{ $hands_min ->
        [none] { "" }
       *[other] { "" } Hands so far { $hands_min } min, waiting { $waited_min } min.
    }
close-page-save-to-model = Save to the model
close-page-open-model = Open the model
close-page-kept-for-places-own = Kept for { $model }: { $count } places, { $count_2 } own steps.
close-page-how-many = A whole number: 0, 1, 2 …
