### plan: was vor der Arbeit vereinbart wurde

gates-on-bare-copper-alloy-soaks = In blankes Kupfer zieht die Legierung ein und sieht nach Monaten eingetrocknet aus.
gates-carried-and-shaken-alloy-can = Es wird getragen und geschüttelt: Die Legierung kann aus dem Spalt wandern.
