### formats

apart-cannot-be-read-nothing-was = { $name } cannot be read: { $why }. Nothing was stored.
apart-cut-to-run-or-export = Cut it to the run, or export it anew as plain CSV, WAV or JPEG.
apart-takes-longer-than-s = it takes longer than { FIX($time_most_s, 0) } s
apart-takes-more-than-gb-memory = it takes more than { FIX($memory_most, 1) } GB of memory
apart-its-reader-broke-down-over = its reader broke down over it
apart-file-takes-more-memory-than = The file takes more memory than there is. Nothing was stored.
apart-cut-to-run = Cut it to the run.
log-text-has-header-and-no-data = { $name } has a header and no data.
log-text-empty = { $name } is empty.
log-text-not-text-file = { $name } is not a text file.
log-text-line-not-utf-file-was = Line { $line } is not UTF-8; the file was read as Windows-1252.
log-text-no-columns-separated-by-comma = { $name }: no columns separated by comma, semicolon or tab were found.
log-text-line-begins-with-numbers-there = { $name }: line 1 begins with numbers; there is no header that names the columns.
log-text-has-columns-at-most-read = { $name } has { $headers } columns, at most { $columns_most } are read.
log-text-export-log-after-run = Export the log after the run.
log-text-log-breaks-off-in-line = The log breaks off in line { $line }: { $dropped } unfinished line(s) at its end were left out.
log-text-export-log-again-and-check = Export the log again and check that it was saved.
log-text-export-log-as-csv-text = Export the log as CSV, text, XLSX, JSON lines or Parquet; pictures cannot be read.
log-text-line-alone-longer-than-kb = { $name }: line 1 alone is longer than { $sniffed_bytes } kB; at most { $columns_most } columns are read.
log-text-export-log-as-csv = Export the log as CSV.
log-text-export-log-with-its-header = Export the log with its header line.
log-text-log-fewer-sensors-temperatures-power = Log fewer sensors: temperatures, power, clock, utilisation and fan are enough.
log-text-header-was-repeated-times-repeats = The header was repeated { $kept } times; the repeats were left out.
photo-take-as-jpeg-png-or = Take it as JPEG, PNG or WebP.
photo-has-million-pixels = has { FIX($pixels, 0) } million pixels
photo-has-far-too-many-pixels = has far too many pixels
photo-photo-up-to-million-taken = The photo { $seen }; up to { $pixels_most } million are taken as JPEG, { $whole_pixels_most } million as PNG or WebP.
photo-photo-has-mb-photos-up = The photo has { FIX($data, 0) } MB; photos up to { $photo_most } MB are taken.
photo-take-at-lower-resolution = Take it at a lower resolution.
photo-take-at-lower-resolution-or = Take it at a lower resolution, or crop it.
photo-this-no-photo-that-can = This is no photo that can be read.
photo-photo-damaged-ends-in-middle = The photo is damaged: it ends in the middle.
photo-videos-not-taken = { $remedy } Videos are not taken.
photo-take-again = Take it again.
record-pdf-no-difference = no difference
record-pdf-not-known = not known
record-pdf-record = Record { $number }
record-pdf-record-2 = Record { $number } · { $device } · { $customer } · { $day }
record-pdf-came-in-with = It came in with: “{ $symptom }”
record-pdf-not-measured-on-both-sides = Not measured on both sides yet.
record-pdf-not-noted = not noted
sensor-log-last-line-s-from-line = The last { $kept } line(s), from line { $first_line_kept } on, carry no time and were left out.
sensor-log-column-cells-hold-no-number = Column “{ $h }”: { $n } of { $frame } cells hold no number.
sensor-log-no-time-column-among = { $name }: no time column among “{ $headers }”.
sensor-log-has-lines-data-at-least = { $name } has { $frame } lines of data, at least { $samples_least } are needed.
sensor-log-columns-have-cells-that-hold = { $notices } columns have cells that hold no number; they count as not known.
sensor-log-export-log-with-time-date = Export the log with a time, date and time, or elapsed seconds column.
sensor-log-lines-below-header-do-not = { $name }: the lines below the header do not form columns ({ $splitlines }).
sensor-log-log-for-whole-load-one = Log for the whole load, one sample a second or so.
sensor-log-there-no-column-in-this = There is no column “{ $header }” in this log.
sensor-log-no-role = “{ $role }” is no role.
sensor-log-open-file-in-text-editor = Open the file in a text editor and check quotes and separators, or export it again.
sensor-log-choose-column-list = Choose a column of the list.
sensor-log-drop-outs-sensor-were-left = drop-outs of the sensor were left out
sensor-log-readings-jump-by-more-than = readings jump by more than 30 K and back; they were left out
sensor-log-readings-repeat-one-value-for = readings repeat one value for a minute or more: the sensor hung there; left out
sensor-log-lies-around-c = lies around { FIX($middle, 0) } °C
sensor-log-holds-no-number = holds no number
sensor-log-column-and-was-not-taken = Column “{ $header }” { $got } and was not taken as a temperature.
sensor-log-column = Column “{ $header }”: { $count } { $words }.
shelf-csv-file-empty = The file is empty.
shelf-csv-file-has-lines-up-to = The file has { $rows } lines; up to { $lines_most } are read.
shelf-csv-has-column = has a column “{ $unknown }”
shelf-csv-lacks-column = lacks the column “{ $missing }”
shelf-csv-line = Line 1 { $what }.
shelf-csv-file-not-utf-text = The file is not UTF-8 text.
shelf-csv-file-no-csv = The file is no CSV ({ $error }).
shelf-csv-export-shelf-to-see-what = Export the shelf to see what is expected.
shelf-csv-split = Split it.
shelf-csv-columns = Columns are: { $headers }.
shelf-csv-line-has-cells-header = Line { $number } has { $row } cells, the header { $headers }.
shelf-csv-line-no-number = Line { $line }, { $name }: “{ $text }” is no number.
shelf-csv-line-no-date = Line { $line }, { $name }: “{ $text }” is no date.
shelf-csv-save-as-csv-utf = Save it as CSV, UTF-8.
shelf-csv-text-with-comma-in-stands = A text with a comma in it stands in quotation marks.
shelf-csv-line-cell-longer-than-characters = Line { $number }, { $name }: the cell is longer than { $cell_most } characters, or holds one that cannot be stored.
shelf-csv-decimal-point-no-unit = Decimal point, no unit.
shelf-csv-write-as = Write it as 2026-03-31.
shelf-csv-correct-cell = Correct the cell.
sound-file-record-again = Record again.
sound-file-cannot-be-read-as-recording = { $name } cannot be read as a recording ({ $value }).
sound-file-holds-no-sound = { $name } holds no sound.
sound-file-has-channels-at-most-read = { $name } has { $channels } channels, at most { $channels_most } are read.
sound-file-longer-than-hour = { $name } is longer than an hour.
sound-file-holds-million-samples-at-most = { $name } holds { FIX($channels, 0) } million samples, at most { $samples_most } are read.
sound-file-record-or-export-as-wav = Record or export as WAV: 16, 24 or 32 bit, mono or stereo.
sound-file-export-as-mono-or-stereo = Export it as mono or stereo.
sound-file-cut-to-loaded-part = Cut it to the loaded part.
tables-too-large-to-be-read = { $name } is too large to be read: { $size }.
tables-has-columns-at-most-read = { $name } has { $count } columns, at most { $columns_most } are read.
tables-has-no-sheet-with-table = { $name } has no sheet with a table.
tables-sheet-was-read = The sheet “{ $sheet }” was read.
tables-cut-to-run-cell-far = Cut it to the run; a cell far away from the table counts too. Or export it as CSV.
tables-columns-that-hold-lists-were = Columns that hold lists were left out: { $flat }.
tables-has-no-plain-columns = { $name } has no plain columns.
tables-holds-no-json-objects = { $name } holds no JSON objects.
tables-line-s-no-json-objects = { $bad } line(s) are no JSON objects and were left out.
tables-archive-and-no-workbook = { $name } is an archive and no workbook.
tables-unpacks-to-more-than-mb = { $name } unpacks to more than { $unpacked_most } MB.
tables-cannot-be-opened-as-workbook = { $name } cannot be opened as a workbook.
tables-cannot-be-opened-as-parquet = { $name } cannot be opened as Parquet.
tables-line-no-json-object-and = { $name }: line { $first_bad } is no JSON object, and { $bad } lines are not.
tables-write-one-json-object-line = Write one JSON object a line, one a sample.
tables-unpack-and-drop-log-itself = Unpack it and drop the log itself.
tables-save-again-or-export-log = Save it again, or export the log as CSV.
tables-binary-workbook = { $name } is a binary workbook.
tables-export-log-again = Export the log again.
tables-no-complete-json = { $name } is no complete JSON: { $error }.
tables-write-one-json-object-line-2 = Write one JSON object a line.
tables-nested-too-deeply = { $name } is nested too deeply.
tables-save-as-xlsx-or-export = Save it as XLSX, or export the log as CSV.
tables-write-one-flat-json-object = Write one flat JSON object a line.
tables-more-than-says = more than it says
timestamps-line-column-not-time-that = Line { $first_line }, column “{ $header }”: “{ $text }” is not a time that can be read.
timestamps-no-time-in-log-can = No time in the log can be read.
timestamps-time-stamps-could-not-be = { $sum } time stamps could not be read, first in line { $bad }; they were filled from their neighbours.
timestamps-clock-log-stands-still-all = The clock of the log stands still: all { $n } stamps are alike.
timestamps-clock-goes-back-time-first =
    The clock goes back { $sum } time{ $back_sum ->
        [one] { "" }
       *[other] s
    }, first in line { $where }; from there on the usual step of { SIG($usual) } s was taken. If two logs were joined, upload them apart.
timestamps-clock-log-jumps-ahead-by = The clock of the log jumps ahead by more than a day { $sum } times.
timestamps-clock-jumps-ahead-by-days = The clock jumps ahead by { FIX($day_s, 0) } days in line { $where }; how long that took is not known, so a pause of a minute was taken.
timestamps-log-runs-over-days-up = The log runs over { FIX($day_s, 0) } days; up to { FIX($longest_s_day_s, 0) } are read.
timestamps-stamps-repeat-one-before-first = { $sum } stamps repeat the one before, first in line { $where }; the samples were spread evenly.
timestamps-export-with-seconds-with-date = Export with seconds, with date and time as 2026-03-01 14:05:09, or with a clock as 14:05:09.
timestamps-export-log-with-time-column = Export the log with a time column.
timestamps-export-with-seconds-or-with = Export with seconds, or with fractions of seconds.
timestamps-log-with-clock-set-or = Log with the clock set, or with elapsed seconds.
timestamps-cut-to-run-and-check = Cut it to the run, and check the unit of its time column.
words-not-set = not set
record-pdf-better = better
record-pdf-worse = worse
record-pdf-changed = changed
record-pdf-headline = { $headline }.
record-pdf-footer =
    { $demo ->
        [yes] Invented demo data. { "" }
       *[no] { "" }
    }{ $shop }, record { $number }{ $draft ->
        [yes] , draft
       *[no] { "" }
    }
record-pdf-change = { $change } ± { $u95 }
record-pdf-item =
    { CAP($target) }: { $kind }{ $product ->
        [none] { "" }
       *[other] , { $product }
    }{ $lot ->
        [none] { "" }
       *[other] , lot { $lot }
    }{ $amount ->
        [none] { "" }
       *[other]
            , { SIG($amount) } { $unit }{ $known ->
                [planned] { "" } planned
                [weighed] { "" } weighed
               *[other] { "" }
            }
    }.
drawing-no-ladder = No ladder: the room was not noted.
drawing-watts =
    { $power_w ->
        [none] power not known
       *[other] { FIX($power_w, 0) } W
    }
drawing-kelvins = { FIX($kelvins, 0) } K
drawing-degrees = { FIX($value, 0) } °C
drawing-stops-here = bottleneck
drawing-load-on = load on
cut-sheet-size = { $name }, { SIG($width_mm) } × { SIG($length_mm) } mm
cut-sheet-this-line = This line is { SIG($mm) } mm: print at 100 %, then measure it
record-pdf-lead = { $device }: { LOW($verdict) }
record-pdf-before = Before
record-pdf-now = Now
record-pdf-means = What that means
record-pdf-cleaned = Cleaned: { $cleaned }.
record-pdf-price = Price
record-pdf-warranty = Our work is warranted
record-pdf-until = until { $day }
record-pdf-next-service = Next service
record-pdf-agreed = Agreed: { $reason } { $words }
record-pdf-after = After
record-pdf-change-u = Change ± U
record-pdf-shown = Shown
record-pdf-details = The measurement in detail
record-pdf-measured = What was measured
record-pdf-u-is = U is the expanded uncertainty (k = 2, JCGM 100). A change smaller than U is not claimed.
record-pdf-conditions = How it was measured
record-pdf-done = What was done
record-pdf-do = What you should do
record-pdf-bench = At the bench
record-pdf-attempts = Attempts side by side
record-pdf-attempt = attempt
record-pdf-page-of = page
record-pdf-owl = Two eyes of an owl: the left one shows the device before, the right one after.
record-pdf-ladder = How many degrees each part on the way of the heat holds back, before and after.
record-pdf-chart = Temperature over time under load, before and after.
data-file-none = { $name } is no data file of a record, or is broken.
data-file-none-remedy = Take the .zip as the shop gave it; a file that was unpacked and packed again is another one.
data-file-too-large = A data file has up to { $files_most } files of together { $most } MB.
