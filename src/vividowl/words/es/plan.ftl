### plan: lo que se acordó antes de trabajar

gates-on-bare-copper-alloy-soaks = En cobre desnudo la aleación se absorbe y a los meses parece seca.
gates-carried-and-shaken-alloy-can = Se lleva y se sacude: la aleación puede salirse de la ranura.
