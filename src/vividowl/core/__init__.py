"""Rules and computation of the trade: pure functions and frozen values.

No files, clock, database or randomness from outside: time and seed are arguments.
Inside, everything is SI, readings are degrees Celsius, differences are kelvins.
"""
