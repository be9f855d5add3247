### page-data: past jobs from a list, and what is kept of a customer

past-title = Past jobs from a list
past-lead = Bring the list that you kept until now. You see what each row becomes before anything is taken in, and a whole list can be taken back.
past-drop = Bring a list
past-drop-hint = CSV or a workbook, a row a job, up to 20,000 rows
past-reading = Being read …
past-working = At work. A list of twenty thousand rows takes up to a minute.
past-columns = What the columns are
past-column-left-out = Left out
past-column = Column { $number }
past-column-what = What “{ $heading }” is
past-sheet = Sheet
past-order = What comes first in the dates
past-order-day = Day
past-order-month = Month
past-order-unknown = Not said
past-kind = Kind of device, where the list names none
past-rows = What each row becomes
past-show = Show
past-all = All { $count }
past-state-new = New
past-state-twice = Twice in the list
past-state-known = In the shop already
past-state-faulty = Cannot be read
past-new = { $count } new
past-twice = { $count } twice
past-known = { $count } known
past-faulty = { $count } not readable
past-line = Line
past-becomes = Becomes
past-date = Date
past-customer = Customer
past-device = Device
past-work = Work
past-price = Price
past-no-rows = No row of this kind.
past-more = Show more rows
past-so-far = Taking in: { $done } of { $total } jobs
past-take = { $count ->
    [0] Nothing new to take in
    [one] Take in 1 job
   *[other] Take in { $count } jobs
}
past-aside = Put the list aside
past-put-aside = The list is put aside; nothing was taken in.
past-taken = { $count ->
    [one] 1 job is taken in.
   *[other] { $count } jobs are taken in.
}
past-history = Lists brought before
past-history-none = None yet.
past-list-taken = Taken in on { $day }: { $count ->
    [one] 1 job
   *[other] { $count } jobs
}
past-list-draft = Brought on { $day }, not taken in
past-list-undone = Taken back on { $day }
past-look = Look at it
past-back = Take back
past-back-which = Take back { $name }
past-back-sure = Take this list back?
past-back-words = All jobs of the list go, with devices and customers that nothing else belongs to. Jobs that somebody has worked on since stay. The list can be brought again from your file.
past-keep = Keep them
past-gone = The list is taken back.
past-stay = The list is taken back, but for { $numbers }: somebody has worked on these since.
customers-title = What is kept of a customer
customers-lead = Give a customer all that you keep of them, or forget who they were. What the law asks of your shop, and for how long you have to keep invoices and records, is yours to judge.
customers-find = Find a customer
customers-find-hint = Name, phone or e-mail
customers-none = No customer fits.
customers-none-yet = No customer yet.
customers-jobs = { $count ->
    [0] no job
    [one] 1 job
   *[other] { $count } jobs
}
customers-last = last on { $day }
customers-erased = Erased on { $day }
customers-back = All customers
customers-devices = { $count ->
    [one] 1 device
   *[other] { $count } devices
}
customers-here = still here
customers-save = Save all that is kept
customers-save-what = A zip: what is written as JSON, logs, recordings and photos as they came, and records as they were handed over.
customers-erase = Erase who it was
customers-erase-title = Erase { $name }?
customers-erase-goes = Goes: name and contact, serial numbers, symptom and notes, counter sheet with signatures, condition photos, quotes, links, kept records with their PDF, names of log files.
customers-erase-stays = Stays: maker and model, measurements, photos taken at the bench, materials, prices, verdicts, and what was typed at the bench or accepted at a gate. Look there for a name before you go on, listen to recordings for a voice, and put lists aside that were brought and not taken in.
customers-erase-backups = Backups made before still hold it, and so does a data file that the customer has. It cannot be undone.
customers-erase-open = { $count ->
    [one] Job { $numbers } is still open: hand the device over first.
   *[other] Jobs { $numbers } are still open: hand the devices over first.
}
customers-erase-name = Type the name to erase it
customers-erase-do = Erase
customers-erase-keep = Keep it
customers-erased-now = Erased. The shop's figures stay.
past-told = What the list said
past-told-from = { $name }, line { $line }. Nothing was measured here, so there is no record to hand out.
jobs-save-what = Jobs, runs with their figures, stock moves, and predictions with what came of them. It holds names and contacts of customers.
jobs-save-workbook = Save as a workbook
jobs-save-folder = Save as CSV and JSON
jobs-save-writing = Being written. A very long list takes a few minutes.
