### shelf

cutting-offcut = Offcut { $number }
cutting-not-kept-in-sheets = { $name } is not kept in sheets.
cutting-no-sheet-and-no-offcut = No sheet and no offcut of { $name } is on the shelf.
cutting-there-no-such-cut-sheet = There is no such cut sheet on this job.
cutting-choose-pad-or-phase-change = Choose a pad or a phase-change sheet.
cutting-add-lot-on-shelf-or = Add a lot on the Shelf, or choose another product.
cutting-pieces-find-no-room-on = { $unplaced } of { $pieces } pieces find no room on what is on the shelf, the first is “{ $name }”.
cutting-reload-page = Reload the page.
cutting-this-cut-was-taken-back = This cut was taken back already.
cutting-offcut-which-this-cut-left = Offcut { $number }, which this cut left, has been cut since.
cutting-job = Job { $number }, { $name }
cutting-sheet-lot = Sheet of lot { $code }
cutting-add-sheet-on-shelf-or = Add a sheet on the Shelf, or cut fewer pieces.
cutting-cut-for-job = cut for job { $number }
cutting-take-that-later-cut-back = Take that later cut back first.
cutting-cut-for-job-taken-back = cut for job { $number } taken back
file-read-from-file = read from a file
file-line-names-no-product = Line { $number } names no product.
file-line-lot-holds-nothing = Line { $number }: lot { $lot } holds nothing.
file-line-lot-held-and-said = Line { $number }: lot { $lot } held { SIG($held) }, and { SIG($left) } are said to be left.
file-give-each-line-product = Give each line a product.
file-give-what-full-lot-held = Give what the full lot held.
file-what-left-lies-between-nought = What is left lies between nought and what it held.
file-line = Line { $number }: { $error }
file-line-2 = Line { $number }: { $detail }
file-nothing-was-added = { $remedy } Nothing was added.
materials-from-jobs-this-shop = from { $jobs } jobs of this shop
materials-no-source-value = “{ $row }” is no source of a value.
materials-fewer-than-three-jobs-with = Fewer than three jobs with this kind were predicted and measured.
materials-plan-and-measure-more-them = Plan and measure more of them; the typical value stays until then.
shelf-lot-has-expired = Lot { $code } has expired.
shelf-lot-expires-within-days = Lot { $code } expires within { $soon_days } days.
shelf-what-tube-or-pack-holds = What the tube or pack holds, in the product's unit.
shelf-low-left-wanted = Low: { $unit } left, wanted: { $product_unit }.
shelf-no-kind-material = “{ $fields }” is no kind of material.
shelf-no-unit-shelf = “{ $fields }” is no unit of the shelf.
shelf-sheet-has-no-size = A sheet has no size.
shelf-price-one-unit-without-tax = Price of one unit, without tax.
shelf-opened-on-but-received-on = Opened on { $opened }, but received on { $received }.
shelf-expires-on-but-received-on = Expires on { $expires }, but received on { $received }.
shelf-lot = Lot { $code }
shelf-measure-whole-sheet = Measure the whole sheet.
shelf-give-width-and-length-whole = Give width and length of a whole sheet.
shelf-product = The product
shelf-has-lot-already = { $name } has a lot { $fields } already.
shelf-lot-cannot-be-opened-before = A lot cannot be opened before it is there.
shelf-check-year-on-label = Check the year on the label.
shelf-offcut-was-used-up = Offcut { $number } was used up.
shelf-counted-in-and-has-lots = { $name } is counted in { $unit } and has lots.
shelf-there-product-on-shelf-or = There is a product “{ $fields }” on the shelf, or it was taken off it.
shelf-add-letter-to-code-or = Add a letter to the code, or correct the lot that is there.
shelf-reload-shelf = Reload the Shelf.
shelf-add-second-product-for-other = Add a second product for the other unit.
shelf-choose-another-name-or-add = Choose another name, or add a lot to it.
stock-lot-was-taken-off-shelf = Lot { $code } was taken off the shelf.
stock-lot-holds-asked-for =
    { $name }, lot { $code }, holds { $unit }; { $amount_unit } { $if_amount ->
        [yes] is
       *[no] are
    } asked for.
stock-choose-another-lot-or-bring = Choose another lot, or bring it back on the Shelf.
stock-take-rest-from-another-lot = Take the rest from another lot, or correct what is left on the Shelf by weighing it.
counted =
    { SIG($amount) } { $unit ->
        [sheet]
            { $amount ->
                [1] sheet
               *[other] sheets
            }
        [piece]
            { $amount ->
                [1] piece
               *[other] pieces
            }
       *[other] { $unit }
    }
unit-plural =
    { $unit ->
        [sheet] sheets
        [piece] pieces
       *[other] { $unit }
    }
