### steps

vocabulary-weighed = Gewogen
vocabulary-measured-layer = Gemessene Schicht
