### web

access-you-not-signed-in = You are not signed in.
    .remedy = Sign in and try again.
access-this-was-sent-by-page = This was sent by a page of another address.
    .remedy = Open the application itself and do it there.
access-this-address-closed = This address is closed.
    .remedy = Ask the maintainers.
access-only-owner-may-do-this = Only an owner may do this.
    .remedy = Ask an owner of the shop.
routes-only-one-side-die-was = Only one side of the die was given.
    .remedy = Measure both, or leave both empty.
problems-this-needed = This is needed.
problems-this-too-long = This is too long.
problems-there-no-such-field = There is no such field.
problems-this-no-number = This is no number.
problems-this-no-whole-number = This is no whole number.
problems-this-holds-character-that-cannot = This holds a character that cannot be stored.
problems-body-no-json = The body is no JSON.
problems-please-check = Please check: { $names }.
problems-database-refused-this-nothing-was = The database refused this. Nothing was stored.
problems-disk-full-nothing-was-stored = The disk is full. Nothing was stored.
problems-this-nested-too-deeply = This is nested too deeply.
problems-something-went-wrong-here-nothing = Something went wrong here. Nothing was stored.
problems-correct-marked-fields-and-send = Correct the marked fields and send again.
problems-larger-than-allowed-logs-and = Larger than allowed: logs and recordings 200 MB, photos 30 MB, others 1 MB.
problems-too-many-attempts-in-short = Too many attempts in a short time.
problems-not-done-here = { $method } is not done here.
problems-page-too-old-to-send = The page is too old to send this.
problems-there-nothing-at = There is nothing at { $path }.
problems-go-back-to-bench = Go back to the Bench.
problems-this-clashes-with-what-stored = This clashes with what is stored already.
problems-something-here-cannot-be-stored = Something here cannot be stored: a number too large, or a character that is none.
problems-database-does-not-answer-nothing = The database does not answer. Nothing was stored.
problems-try-again-if-stays-see = Try again; if it stays, see var/vividowl.log on its machine.
problems-free-some-space-on-machine = Free some space on the machine that runs the shop, then send again.
problems-take-out-and-send-again = Take it out and send again.
problems-send-as-interface-describes = Send it as the interface describes it.
problems-log-fewer-sensors-or-take = Log fewer sensors, or take the photo smaller.
problems-wait-minute-and-try-again = Wait a minute and try again.
problems-see-description-interface = See the description of the interface.
problems-reload-page-what-you-typed = Reload the page; what you typed is kept.
problems-reload-and-try-again = Reload and try again.
problems-correct-and-send-again = Correct it and send again.
problems-try-again-in-moment = Try again in a moment.
routes-demo-signs-itself-in-on = The demo signs itself in on its own machine only.
    .remedy = Sign in by password.
routes-code-does-not-fit = The code does not fit.
    .remedy = Use the code that ./start printed in the terminal.
routes-file-no-text-in-utf = The file is no text in UTF-8.
    .remedy = Export it again.
fields-date-written-as = a date is written as 2026-03-31
routes-inputs-cannot-be-read = The inputs cannot be read.
    .remedy = Open the sheet from its page.
routes-mapping-not-json-object-header = The mapping is not a JSON object of header to role.
    .remedy = Send for instance { "{" }"Temp 3": "cpu_temperature"{ "}" }.
told-holds-more-than-characters-or = it holds more than { $data_most } characters, or one that cannot be stored
told-number-in-not-finite = a number in it is not finite
missing-row =
    There is no such { $kind ->
        [bench_event] event
        [device_model] model
        [stock_move] stock move
        [cut_sheet] cut sheet
        [trace_file] log
        [record_version] version of the record
        [customer_link] link
        [shop_key] key
        [condition_photo] photo
        [sound_file] recording
        [log_mapping] mapping
        [noise_reading] reading
        [spot_reading] reading
        [sign_in] session
        [fit_item] item
        [idempotent_reply] reply
       *[other] { $kind }
    } in this shop.
problems-changed-meanwhile = This was changed meanwhile, on another screen or by a colleague.
