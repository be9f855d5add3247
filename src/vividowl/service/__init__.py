"""Use cases, one module a stage. The only place where core, store and formats meet; they own transactions."""
