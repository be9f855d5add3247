### shelf

cutting-offcut = Offcut { $number }
cutting-not-kept-in-sheets = { $name } is not kept in sheets.
    .remedy = Choose a pad or a phase-change sheet.
cutting-no-sheet-and-no-offcut = No sheet and no offcut of { $name } is on the shelf.
    .remedy = Add a lot on the Shelf, or choose another product.
cutting-there-no-such-cut-sheet = There is no such cut sheet on this job.
    .remedy = { cutting-reload-page }
cutting-pieces-find-no-room-on = { $unplaced } of { $pieces } pieces find no room on what is on the shelf, the first is “{ $name }”.
    .remedy = Add a sheet on the Shelf, or cut fewer pieces.
cutting-reload-page = Reload the page.
cutting-this-cut-was-taken-back = This cut was taken back already.
    .remedy = { cutting-reload-page }
cutting-offcut-which-this-cut-left = Offcut { $number }, which this cut left, has been cut since.
    .remedy = Take that later cut back first.
cutting-job = Job { $number }, { $name }
cutting-sheet-lot = Sheet of lot { $code }
cutting-cut-for-job = cut for job { $number }
cutting-cut-for-job-taken-back = cut for job { $number } taken back
file-read-from-file = read from a file
file-line-names-no-product = Line { $number } names no product.
    .remedy = Give each line a product.
file-line-lot-holds-nothing = Line { $number }: lot { $lot } holds nothing.
    .remedy = Give what the full lot held.
file-line-lot-held-and-said = Line { $number }: lot { $lot } held { SIG($held) }, and { SIG($left) } are said to be left.
    .remedy = What is left lies between nought and what it held.
file-line = Line { $number }: { $error }
    .remedy = { file-nothing-was-added }
file-line-2 = Line { $number }: { $detail }
    .remedy = { file-nothing-was-added }
file-nothing-was-added = { $remedy } Nothing was added.
materials-from-jobs-this-shop = from { $jobs } jobs of this shop
materials-no-source-value = “{ $row }” is no source of a value.
    .remedy = { allowed }
materials-fewer-than-three-jobs-with = Fewer than three jobs with this kind were predicted and measured.
    .remedy = Plan and measure more of them; the typical value stays until then.
shelf-lot-has-expired = Lot { $code } has expired.
shelf-lot-expires-within-days = Lot { $code } expires within { $soon_days } days.
shelf-what-tube-or-pack-holds = What the tube or pack holds, in the product's unit.
shelf-low-left-wanted = Low: { $unit } left, wanted: { $product_unit }.
shelf-no-kind-material = “{ $fields }” is no kind of material.
    .remedy = { allowed }
shelf-no-unit-shelf = “{ $fields }” is no unit of the shelf.
    .remedy = { allowed }
shelf-sheet-has-no-size = A sheet has no size.
    .remedy = Give width and length of a whole sheet.
shelf-price-one-unit-without-tax = Price of one unit, without tax.
shelf-opened-on-but-received-on = Opened on { $opened }, but received on { $received }.
    .remedy = A lot cannot be opened before it is there.
shelf-expires-on-but-received-on = Expires on { $expires }, but received on { $received }.
    .remedy = Check the year on the label.
shelf-lot = Lot { $code }
shelf-measure-whole-sheet = Measure the whole sheet.
shelf-product = The product
shelf-has-lot-already = { $name } has a lot { $fields } already.
    .remedy = Add a letter to the code, or correct the lot that is there.
shelf-offcut-was-used-up = Offcut { $number } was used up.
    .remedy = Reload the Shelf.
shelf-counted-in-and-has-lots = { $name } is counted in { $unit } and has lots.
    .remedy = Add a second product for the other unit.
shelf-there-product-on-shelf-or = There is a product “{ $fields }” on the shelf, or it was taken off it.
    .remedy = Choose another name, or add a lot to it.
stock-lot-was-taken-off-shelf = Lot { $code } was taken off the shelf.
    .remedy = Choose another lot, or bring it back on the Shelf.
stock-lot-holds-asked-for =
    { $name }, lot { $code }, holds { $unit }; { $amount_unit } { $if_amount ->
        [yes] is
       *[no] are
    } asked for.
    .remedy = Take the rest from another lot, or correct what is left on the Shelf by weighing it.
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
