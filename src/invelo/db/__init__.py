"""What is kept: PostgreSQL tables, the queries on them, and the way from rows to values and back.

`tables` says what a row is, `access` who may see it, `codec` and `ladder_graph` what it means;
`logs` and `shown_sets` read what was done. Nothing here decides anything.
"""
