### record

record-pdf-no-difference = no difference
record-pdf-sensor = { CAP($words) }
record-pdf-not-known = not known
record-pdf-record = Record { $number }
record-written-anew = Written anew on { $day } from the measurements, by { $program ->
        [none] a later version
       *[other] version { $program }
    }. The record handed over on { $handed } was not kept.
record-pdf-record-2 = Record { $number } · { $device } · { $customer } · { $day }
record-pdf-came-in-with = It came in with: “{ $symptom }”
record-pdf-not-measured-on-both-sides = Not measured on both sides yet.
record-pdf-not-noted = not noted
words-not-set = not set
record-pdf-better = better
record-pdf-worse = worse
record-pdf-changed = changed
record-pdf-headline = { $headline }.
record-pdf-footer =
    { $demo ->
        [yes] Invented demo data. { "" }
       *[no] { "" }
    }{ $shop }, record { $number }{ $draft ->
        [yes] , draft
       *[no] { "" }
    }
record-pdf-change = { $change } ± { $u95 }
record-pdf-item =
    { CAP($target) }: { $kind }{ $product ->
        [none] { "" }
       *[other] , { $product }
    }{ $lot ->
        [none] { "" }
       *[other] , lot { $lot }
    }{ $amount ->
        [none] { "" }
       *[other]
            , { SIG($amount) } { $unit }{ $spare ->
                [0] { "" }
               *[other] { "" } and { $spare } spare
            }{ $known ->
                [planned] { "" } planned
                [weighed] { "" } weighed
               *[other] { "" }
            }
    }.
drawing-no-ladder = No ladder: the room was not noted.
drawing-watts =
    { $power_w ->
        [none] power not known
       *[other] { FIX($power_w, 0) } W
    }
drawing-kelvins = { FIX($kelvins, 0) } K
drawing-degrees = { FIX($value, 0) } °C
drawing-stops-here = bottleneck
drawing-load-on = load on
record-pdf-lead = { $device }: { LOW($verdict) }
record-pdf-before = Before
record-pdf-now = Now
record-pdf-means = What that means
record-pdf-cleaned = Cleaned: { $cleaned }.
record-pdf-price = Price
record-pdf-warranty = Our work is warranted
record-pdf-link = This record on your phone: scan the code. There it can be kept as a signed file, too.
record-pdf-until = until { $day }
record-pdf-next-service = Next service
record-pdf-agreed = Agreed: { $reason } { $words }
record-pdf-after = After
record-pdf-change-u = Change ± U
record-pdf-shown = Shown
record-pdf-details = The measurement in detail
record-pdf-measured = What was measured
record-pdf-u-is = U is the expanded uncertainty (k = 2, JCGM 100). A change smaller than U is not claimed.
record-pdf-conditions = How it was measured
record-pdf-done = What was done
record-pdf-do = What you should do
record-pdf-bench = At the bench
record-pdf-attempts = Attempts side by side
record-pdf-attempt = attempt
record-pdf-page-of = page
record-pdf-owl = Two eyes of an owl: the left one shows the device before, the right one after.
record-pdf-ladder = How many degrees each part on the way of the heat holds back, before and after.
record-pdf-chart = Temperature over time under load, before and after.
record-pdf-pieces = { $amount ->
    [one] piece
   *[other] pieces
}
record-pdf-limit = °C{ $limit ->
    [none] { "" }
   *[other] , limit { FIX($limit, 0) }
}
record-pdf-left-alone = { $device }: nothing is wrong with its cooling, so it was left alone
