### page-workings

calculator-may-stay-empty = May stay empty
calculator-working = Working …
calculator-fill-in-what-marked = Fill in what is marked, then it is worked out.
calculator-at = { $to_upper_case } at 1:1
calculator-formula = Formula
calculator-limits = Limits
calculator-source = Source
calculator-put-into-job = Put into a job
calculator-copy-link = Copy the link
calculator-print = Print
into-job-put-into-which-job = Put it into which job?
into-job-looking = Looking …
into-job-job = job { $number }, { $customer_name }
into-job-no-job-open-take = No job is open. Take a device in first.
workings-workings = Workings
workings-every-calculator-on-its = Every calculator on its own. Nothing is kept until you put it into a job.
workings-calculators = Calculators
workings-hands = Hands
workings-step-lists = Step lists
workings-what-goes-wrong-when = What goes wrong when a step is left out. The maker's instructions, local rules and licensed practice come first.
workings-there-no-calculator = There is no calculator “{ $name }”.
workings-choose-one-from-list = Choose one from the list.
calculator-link-copied-carries-what = The link is copied. It carries what you typed.
calculator-address-this-page-link = The address of this page is the link. Copy it from the bar above.
into-job-in-plan-job = It is in the plan of job { $number }, { $model }.
