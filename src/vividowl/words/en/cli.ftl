### cli

cli-read = { $name }: { $samples } samples, { FIX($duration_s, 0) } s, one every { SIG($interval_s) } s
cli-mended = { "" }  mended: { $notice }
cli-item = - { $text }
cli-keys = Keys: { $keys }.
cli-not-key-value = “{ $pair }” is not key=value. { $remedy }
cli-effect =
    { "" }  { $words }: { $before ->
        [none] not known
       *[other] { SIG($before, 4) }
    } to { $after ->
        [none] not known
       *[other] { SIG($after, 4) }
    } { $unit }, change { $change ->
        [none] not known
       *[other] { SIG($change, 3, sign: 1) } ± { SIG($u95, 2) }
    }
cli-levels =
    LAeq { FIX($laeq, 1) }, LAFmax { FIX($lafmax, 1) }, L10 { FIX($l10, 1) }, L90 { FIX($l90, 1) } { $calibrated ->
        [yes] dB(A)
       *[no] dB below full scale, not calibrated: only differences are firm
    }
cli-tone =
    - tone at { FIX($hz, 0) } Hz, { FIX($over_db, 0) } dB over its band{ $prominent ->
        [yes] , prominent
       *[no] { "" }
    }
cli-fan = - fan { FIX($rpm, 0) } rpm by the blade-pass tone at { FIX($hz, 0) } Hz
cli-fan-not-known = - fan speed not known: no tone fits the blades
cli-whine = - whine at { FIX($hz, 0) } Hz: a coil or a bearing; paste will not cure it
cli-work-keys = vividowl work shows the keys of each.
cli-piece =
    piece { $piece }: sheet { $sheet }, x { SIG($x_mm) } mm, y { SIG($y_mm) } mm{ $turned ->
        [yes] , turned
       *[no] { "" }
    }
