### service

idempotency-idempotency-key-longer-than-characters = The idempotency key is longer than { $key_most } characters.
idempotency-use-uuid = Use a UUID.
idempotency-this-idempotency-key-was-used = This idempotency key was used for another write.
idempotency-use-new-key = Use a new key.
workshop-was-changed-meanwhile-on-another = { $what } was changed meanwhile, on another screen or by a colleague.
workshop-job-was-handed-over-and = Job { $number } was handed over and is closed.
workshop-job-stopped-battery-swollen = Job { $number } is stopped: the battery is swollen.
workshop-less-than-disk-free-nothing = Less than { FIX($space_refuse, 0) } % of the disk is free. Nothing was stored.
workshop-your-typing-kept-load-newer = Your typing is kept. Load the newer state, compare, and save again.
workshop-take-hand-over-back-to = Take the hand-over back to change it.
workshop-isolate-battery-when-replaced-clear = Isolate the battery. When it is replaced, clear the mark in Intake and go on.
workshop-free-some-space-on-machine = Free some space on the machine that runs the shop, then send again.
