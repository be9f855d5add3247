### models

models-job = job { $number }
models-model = The model
models-file-no-model-sheet = The file is no model sheet.
models-bench-list-this-job-has = The bench list of this job has not begun.
models-file-no-json = The file is no JSON.
models-needs-format = It needs “format”: “{ $format }”.
models-kept-already = { $model } is kept already.
models-outline-in-file-damaged = The outline in the file is damaged.
models-begin-in-open = Begin it in Open.
models-take-file-as-was-exported = Take the file as it was exported.
models-replace-or-leave-as = Replace it, or leave it as it is.
models-export-again = Export it again.
