"""Two sides compared: conditions, equal terms, effects, the answer and its sentence. It reads no file or log."""
