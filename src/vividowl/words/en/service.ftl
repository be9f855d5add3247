### service

idempotency-idempotency-key-longer-than-characters = The idempotency key is longer than { $key_most } characters.
    .remedy = Use a UUID.
idempotency-this-idempotency-key-was-used = This idempotency key was used for another write.
    .remedy = Use a new key.
workshop-was-changed-meanwhile-on-another = { $what } was changed meanwhile, on another screen or by a colleague.
    .remedy = { workshop-your-typing-kept-load-newer }
workshop-job-was-handed-over-and = Job { $number } was handed over and is closed.
    .remedy = Take the hand-over back to change it.
workshop-job-stopped-battery-swollen = Job { $number } is stopped: the battery is swollen.
    .remedy = Isolate the battery. When it is replaced, clear the mark in Intake and go on.
workshop-less-than-disk-free-nothing = Less than { FIX($space_refuse, 0) } % of the disk is free. Nothing was stored.
    .remedy = Free some space on the machine that runs the shop, then send again.
workshop-your-typing-kept-load-newer = Your typing is kept. Load the newer state, compare, and save again.
