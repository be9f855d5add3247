### page-links

versions-title = Versions of this record
versions-version = Version { $number }
versions-made = { $at }, { $by }
versions-handed-over = As handed over
versions-pdf = PDF
versions-data-file = Signed data file
links-title = For the customer's phone
links-none = A link opens this record without an account. It can be withdrawn at any time.
links-make = Make a link
links-copy = Copy
links-copied = The link is copied.
links-copy-by-hand = This browser does not let it be copied; mark the address and copy it by hand.
links-withdraw = Withdraw
links-withdraw-sure = Withdraw for good
links-keep = Keep it
links-was-withdrawn = The link is withdrawn; it opens nothing from now on.
links-code = Code to scan: { $address }
links-stand =
    Good until { $day }, { $views ->
        [0] not opened yet
        [1] opened once
       *[other] opened { $views } times
    }.
links-inside-only = It opens in the shop's own network only: the address for customers is set in Shop.
links-gone =
    Made on { $made }, { $withdrawn ->
        [yes] withdrawn on { $day }
       *[no] over since { $day }
    }, opened { $views } times
