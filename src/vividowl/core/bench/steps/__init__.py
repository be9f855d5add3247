"""The steps of a service and the list that is made of them from a plan. What was done is the log's."""
