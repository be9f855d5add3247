"""All that the shop has, out: jobs, runs with figures, stock moves, predictions with what came of them."""
