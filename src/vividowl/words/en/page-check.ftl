### page-check

check-title = Is this record untouched?
check-lead = Drop the data file of a record here. It is looked at on this device and goes nowhere; only the number of its key is asked for.
check-file = Data file of a record
check-hint = The .zip that the shop gave out
check-looking = Looking at { $name } …
check-none = { $name } is no data file of a record, or is broken
check-none-remedy = Take the .zip as the shop gave it; a file that was unpacked and packed again is another one.
check-too-large = A data file has up to { $most } MB; { $name } has { $size }.
check-untouched = Untouched
check-untouched-words = Record { $number } of { $shop } is as it was signed on { $day }: every file in it, to the last byte.
check-draft = It is a draft: the job was not handed over when it was signed.
check-version = It is version { $version } of this record. Ask the shop whether there is a newer one.
check-repacked = The zip around the files is not the one that was written: it was packed anew, or touched.
check-changed = Changed
check-changed-words = What stands in these files is not what was signed:
check-not-signed = Not as it was signed
check-not-signed-words = The list of files was changed, or another key signed it. Nothing in it can be relied on.
check-was-changed = { $name } was changed
check-was-missing = { $name } is missing
check-was-added = { $name } was added and is not signed
check-key-signs = It is signed with the key of { $shop }, which is in use.
check-key-retired = It is signed with a key of { $shop } that was in use until { $day }; a newer one signs since. That is in order.
check-key-withdrawn = It is signed with a key that { $shop } withdrew on { $day }: someone else may have had it. Ask the shop for the record anew.
check-key-unknown = No shop here has this key. Ask the one that gave you the record whether it is its own:
check-key-offline = Whose key it is could not be asked just now. Ask the shop whether it is its own:
check-old-browser = This browser cannot check signatures of this kind. A newer one can, or the command “vividowl verify”.
