### page-jobs

jobs-visit = visit { $visit } of { $visits }
jobs-all-jobs = All jobs
jobs-take-device-in = New job
jobs-job = Job
jobs-device = Device
jobs-customer = Customer
jobs-verdict = Verdict
jobs-handed-over = Handed over
jobs-stopped-for-safety = Stopped for safety
jobs-on-bench = on the bench
jobs-newer = Newer
jobs-to = { $offset } to { $total } of { $total_2 }
jobs-older = Older
jobs-no-job-yet-first = No job yet. The first device you take in stands here.
