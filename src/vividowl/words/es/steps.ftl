### steps

vocabulary-weighed = Pesado
vocabulary-measured-layer = Capa medida
