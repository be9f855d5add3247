"""All runs of a job: routes, schemas, present."""
