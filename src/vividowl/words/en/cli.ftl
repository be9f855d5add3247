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
cli-left-out = Line { $line } holds no value and was left out.
cli-ranked =
    { $place ->
        [none] –
       *[other] { $place }
    }. { $group }: { SIG($mean, 4) }{ $u95 ->
        [none] { "" }
       *[other] { " " }± { SIG($u95, 2) }
    }, runs { $n }{ $ties ->
        [none] { "" }
       *[other] , not told from { $ties }
    }
cli-factor =
    { $term }: { $effect ->
        [none] not known
       *[other] { SIG($effect, 3, sign: 1) }{ $u95 ->
            [none] , uncertainty not known
           *[other] { " " }± { SIG($u95, 2) }, { $shown ->
                [yes] shown
               *[no] not shown
            }
        }
    }
cli-missing-run =
    not run: { $run }{ $tells ->
        [yes] { "" } (tells effects apart)
       *[no] { "" }
    }
cli-bar =
    { $term }: { SIG($start, 4) } to { $end ->
        [none] not known
       *[other] { SIG($end, 4) }
    }
cli-burn-in =
    { $settled ->
        [none] Not known whether it has run in.
        [yes] It has run in.
       *[no] It has not run in.
    }{ $final ->
        [none] { "" }
       *[other] { "" } It ends at { SIG($final, 4) } ± { SIG($u95, 2) }.
    }{ $settled ->
        [no] { $more ->
            [none] { "" }
           *[other] { "" } It needs { SIG($more, 2) } more.
        }
       *[other] { "" }
    }
cli-drift =
    { SIG($slope, 3, sign: 1) } a month{ $u95 ->
        [none] , uncertainty not known
       *[other] { " " }± { SIG($u95, 2) }, { $shown ->
            [yes] shown
           *[no] not shown
        }
    }; now { SIG($now, 4) }
cli-months =
    The limit is { SIG($months, 3) } months away, between { SIG($low, 3) } and { $high ->
        [none] more than can be told
       *[other] { SIG($high, 3) }
    }.
cli-verify-untouched = Untouched: record { $number } of { $shop } is as it was signed at { $at }.
cli-verify-unknown-key = Signed by a key that is not known here. Record { $number }, which names { $shop }, is as it was signed with it at { $at }; whether that shop signed it, only its key can tell.
cli-verify-other-key = Not believed: record { $number }, which names { $shop }, is as it was signed at { $at }, but not with a key that stands for that shop.
cli-verify-draft = It is a draft: the job was not handed over when it was signed.
cli-verify-version = It is version { $version } of this record.
cli-verify-not-signed = Not as it was signed: the list of its files was changed, or another key signed it.
cli-verify-repacked = The zip around the files is not the one that was written: it was packed anew, or touched.
cli-verify-file = { $name }: { $finding ->
    [changed] was changed
    [missing] is missing
   *[added] was added and is not signed
}.
cli-verify-key = Signed with the key { $key }{ $expected ->
    [yes] , the one you asked for
    [no] , not the one you asked for
   *[none] { $known ->
        [signs] , the shop's own
        [retired] , the shop's own until a newer one took over
        [withdrawn] , which the shop has withdrawn: somebody else may have had it
       *[none] . Ask the shop whether this is its key
    }
}.
cli-sitting-not-told = Each run is counted as made on a day of its own. If several were made in one sitting, name that column with --sitting.
