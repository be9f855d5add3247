### Past jobs from a list, everything out, and what is kept of a customer

past-role-number = Job number
past-role-day = Date
past-role-customer = Customer
past-role-contact = Phone or e-mail
past-role-kind = Kind of device
past-role-maker = Maker
past-role-model = Model
past-role-serial = Serial number
past-role-symptom = Symptom
past-role-work = Work done
past-role-material = Material
past-role-price = Price
past-role-before_c = Temperature before
past-role-after_c = Temperature after
past-role-noise_before_db = Noise before
past-role-noise_after_db = Noise after
past-role-note = Note
past-fault = { $column }: { $why }
past-left-out = { $what } Left out; what the list says is kept with the job.
past-day-outside = { $day } is in the future, or before { NUMBER($least, useGrouping: 0) }.
past-no-day = “{ $text }” is no date.
past-day-or-month = “{ $text }” can be read day first or month first. Say above which it is.
past-no-price = “{ $text }” is no price.
past-price-outside = a price lies between 0 and { FIX($most) }.
past-no-number = “{ $text }” is no number.
past-number-outside = { FIX($value, digits: 1) }{ UNIT($unit) } is outside { FIX($low) } to { FIX($high) }{ UNIT($unit) }.
past-a-formula = “{ $text }” is a formula and no value.
past-too-long = has { $letters } letters, at most { $most } are kept.
past-no-day-told = No date, so there is no telling when it was.
past-no-device-told = Neither model nor maker.
past-row-twice = Says the same as line { $line }.
past-row-known = As job { $number }.
past-table-too-large = “{ $name }” has { FIX($size_mb) } MB; lists up to { FIX($most_mb) } MB are read.
    .remedy = { past-table-split }
past-table-too-long = “{ $name }” has { $rows } rows or more; up to { $most } are read at once.
past-table-too-wide = “{ $name }” has { $columns } columns; up to { $most } are read.
past-table-split = Split it, by years for instance, and bring the parts one after the other.
past-table-fewer-columns = Delete the columns that are not needed, and save it again.
past-table-one-column = “{ $name }” has one column only, so it is no list of jobs.
    .remedy = { past-table-save-as }
past-table-empty = “{ $name }” is empty.
    .remedy = { past-table-save-as }
past-table-only-headings = “{ $name }” has headings and no rows.
    .remedy = { past-table-save-as }
past-table-save-as = Save the list as .xlsx, or as CSV in UTF-8, one row a job, and bring it again.
past-table-no-csv = “{ $name }” cannot be read from line { $line } on: a quotation mark is not closed there.
    .remedy = { past-table-save-as }
past-table-no-workbook = “{ $name }” is an archive and no workbook.
    .remedy = { past-table-save-as }
past-table-cell-too-long = “{ $name }” has a cell of { $letters } letters; up to { $most } are read.
past-table-shorten = Shorten it, and save the list again.
past-table-no-headings = No headings were found: say of each column what it is.
past-table-above = The headings were found in line { $line }; what stands above them is left out.
past-table-headings-again = The headings stand again in line { $line }{ $times ->
    [one] {""}
   *[other] {" "}and { $times } times in all
}; these rows are left out.
past-table-merged = { $ranges ->
    [one] One range of cells is merged: its value counts for each of its rows.
   *[other] { $ranges } ranges of cells are merged: their values count for each of their rows.
}
past-table-formulas = { $cells ->
    [one] One cell is a formula: what it last came to counts.
   *[other] { $cells } cells are formulas: what they last came to counts.
}
past-taken-already = “{ $name }” was taken in already.
    .remedy = Take it back first, or bring the list anew.
past-not-taken = “{ $name }” is not taken in.
    .remedy = { intake-reload-job }
past-list = The list
past-role-twice = { $role } was said of two columns.
past-role-once = Say it of one, and leave the other out.
past-columns-differ = { $given } columns were told, the list has { $columns }.
    .remedy = { intake-reload-job }
past-of-no-list = Job { $number } does not come from a list.
    .remedy = Choose a job that came from a list.
past-nothing-new = No row of this list is new and readable.
    .remedy = Say what its columns are, or correct the list and bring it again.
past-customer-unknown = Customer not known
past-material = Material: { $material }

customers-erased-name = Erased customer { $sign }
customers-erased-already = This customer is erased already.
    .remedy = Nothing has to be done.
customers-jobs-are-open =
    { $count ->
        [one] Job { $numbers } is still open.
       *[other] Jobs { $numbers } are still open.
    }
    .remedy = Hand the device over first, or take the job to its end.
customers-name-differs = The name is not “{ $name }”.
    .remedy = Type the name as it stands. Erasing cannot be undone.
past-one-at-a-time = Another list of this shop is being taken in.
    .remedy = Take this one in when it is done; nothing of it was changed.
out-one-at-a-time = Another export of this shop is running.
    .remedy = Wait until its file is there, then try again.
