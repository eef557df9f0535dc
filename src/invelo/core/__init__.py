"""The rules of the job: pure functions on plain values.

SI units inside (m, kg, s, N, N·m, rad). No web, no database, no clock, no files but the
catalogue's own data. Read it in this order: `body`, `posture`, `statics` (how a shape becomes a
load), `reps` (how a load becomes a count), `movement`, `rung`, `ladder`, `placement` (where an
athlete stands), `dose` (what they do today), `log` and `decide` (what changes next), `trend`,
`workload` and `forecast` (how it goes), `simulate` (athletes to try all of it on).
"""

MODEL_VERSION = "4.0"
"""Version of the computation. Every stored result keeps it beside its inputs."""
