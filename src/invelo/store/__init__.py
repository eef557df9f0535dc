"""What is kept: PostgreSQL tables, and the acts of the job that read and write them.

`tables` says what a row is; `access` who may see it; `squad`, `ladder`, `floor` and `review` hold
what is done at the place of that name. Each act takes an open session and leaves committing to
its caller, so that one request is one transaction.
"""
