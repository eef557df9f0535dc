"""The rules of the job: pure functions on plain values.

SI units inside (m, kg, s, N, N·m, rad). No web, no database, no clock, no files but the
catalogue's own data. The sciences come first: `biomechanics` (how a shape becomes a load),
`strength` (how a load becomes a count), `equipment` and the `catalogue`. On them stand the parts of
the job: `athlete`, `ladder` (rungs, bridges, where an athlete stands), `plan` (what is to be done),
`training` (what is done), `review` (what changes next) and `squad`. `bench` compares two set-ups;
`simulation` has athletes to try all of it on.
"""

MODEL_VERSION = "5.1"
"""Version of the computation. Every stored result keeps it beside its inputs."""
