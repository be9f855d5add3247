### models

models-job = job { $number }
models-model = The model
models-file-no-model-sheet = The file is no model sheet.
models-bench-list-this-job-has = The bench list of this job has not begun.
    .remedy = Begin it in Open.
models-file-no-json = The file is no JSON.
    .remedy = Take the file as it was exported.
models-needs-format = It needs “format”: “{ $format }”.
models-kept-already = { $model } is kept already.
    .remedy = Replace it, or leave it as it is.
models-outline-in-file-damaged = The outline in the file is damaged.
    .remedy = { models-export-again }
models-export-again = Export it again.
