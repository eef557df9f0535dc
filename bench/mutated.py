"""The mutations: what is changed, and the tests that must notice."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Mutation:
    """One small change.

    Attributes:
        name: what goes wrong with it.
        path: of the file, from the root of the tree.
        symbol: the definition it stands in, with dots for what lies within a class.
        old, new: text that stands there once, and what takes its place.
        tests: files or tests of which at least one must fail.
    """

    name: str
    path: str
    symbol: str
    old: str
    new: str
    tests: tuple[str, ...]


def _in(path: str, *tests: str):  # type: ignore[no-untyped-def]
    """Makes mutations of one file that the same tests must notice."""

    def make(name: str, symbol: str, old: str, new: str) -> Mutation:
        return Mutation(name, path, symbol, old, new, tests)

    return make


_access = _in(
    "src/invelo/db/access.py",
    "tests/api/training/test_others_sessions.py",
    "tests/api/test_access.py",
)
_floor = _in(
    "src/invelo/services/training/floor.py",
    "tests/api/training/test_others_sessions.py",
    "tests/api/training/test_floor.py",
)
_context = _in(
    "src/invelo/api/common/context.py",
    "tests/api/training/test_phone.py",
    "tests/api/training/test_links.py",
)
_security = _in("src/invelo/api/common/guards/security.py", "tests/api/test_security.py")
_request_id = _in("src/invelo/api/common/guards/request_id.py", "tests/api/test_security.py")
_problems = _in("src/invelo/api/common/problems.py", "tests/api/test_security.py")
_account_rows = _in("src/invelo/db/queries/account_rows.py", "tests/api/account/test_sign_in.py")
_planning = _in("src/invelo/services/plan/planning.py", "tests/api/plan/test_planning.py")
_screen = _in("src/invelo/domain/athlete/screen.py", "tests/domain/athlete/test_screen.py")
_safety = _in("src/invelo/domain/review/proposals/safety.py", "tests/domain/review/test_safety.py")
_placement = _in("src/invelo/domain/ladder/placement.py", "tests/api/test_closed.py")
_draft = _in("src/invelo/services/training/floor.py", "tests/api/training/test_corrections.py")
_workshop = _in("src/invelo/services/ladder/workshop.py", "tests/api/test_closed.py")
_trainee = _in("src/invelo/services/plan/trainee.py", "tests/api/test_closed.py")
_ladder = _in("src/invelo/services/plan/week.py", "tests/api/plan/test_week.py")
_accounts = _in("src/invelo/services/account/accounts.py", "tests/api/account/test_sign_in.py")
_devices = _in("src/invelo/db/queries/account_rows.py", "tests/api/account/test_sign_in.py")
_versions = _in("src/invelo/api/common/versions.py", "tests/api/test_versions.py")
_week_undo = _in("src/invelo/services/plan/week.py", "tests/api/test_versions.py")
_known = _in("src/invelo/domain/training/known_sets.py", "tests/api/training/test_broken_files.py")
_night = _in("src/invelo/services/review/weekly.py", "tests/api/review/test_week_review.py")
_once_more = _in("src/invelo/api/common/guards/once_more.py", "tests/api/test_clashes.py")
_kit = _in("src/invelo/services/equipment/kit.py", "tests/api/test_wrong_identity.py")
_effort = _in(
    "src/invelo/domain/biomechanics/effort.py",
    "tests/domain/biomechanics/test_push_up.py",
    "tests/reference/test_push_up_loads.py",
    "tests/reference/test_more_published_loads.py",
    "tests/reference/test_facts_of_the_trade.py",
)
_arms = _in(
    "src/invelo/domain/biomechanics/posture/arms.py",
    "tests/domain/biomechanics/test_push_up.py",
    "tests/reference/test_push_up_loads.py",
)
_third = _in(
    "src/invelo/domain/biomechanics/equilibrium.py", "tests/reference/test_push_up_loads.py"
)
_curve = _in("src/invelo/domain/strength/rep_curve.py", "tests/domain/strength/test_reps.py")
_tempo = _in("src/invelo/domain/strength/tempo.py", "tests/reference/test_rep_tables.py")
_holds = _in(
    "src/invelo/domain/strength/holds.py",
    "tests/domain/strength/test_holds.py",
    "tests/reference/test_holds_and_levers.py",
)
_workload = _in(
    "src/invelo/domain/review/workload.py",
    "tests/domain/review/test_workload.py",
    "tests/domain/review/test_workload_laws.py",
)
_ports = _in("src/invelo/runtime/ports.py", "tests/machine/test_command.py")

_machine = _in(
    "web/src/features/training/engine/machine.ts",
    "tests/phone/test_run.py",
    "tests/phone/test_left_out.py",
)
_outgoing = _in(
    "web/src/features/training/engine/outgoing.ts",
    "tests/phone/test_outgoing.py",
    "tests/phone/test_run.py",
    "tests/phone/test_left_out.py",
)
_clock = _in("web/src/features/training/engine/clock.ts", "tests/phone/test_clock.py")
_outbox = _in("web/src/features/training/engine/outbox.ts", "tests/phone/test_sending.py")
_keep = _in("web/src/features/training/engine/keep.ts", "tests/phone/test_sending.py")

_model_error = _in(
    "src/invelo/domain/biomechanics/model_error.py", "tests/reference/test_model_error.py"
)
_equilibrium = _in(
    "src/invelo/domain/biomechanics/equilibrium.py",
    "tests/domain/biomechanics/test_limiting_measures.py",
    "tests/domain/biomechanics/test_laws_of_forms.py",
)
_built = _in(
    "src/invelo/domain/biomechanics/posture/build.py",
    "tests/domain/biomechanics/test_limiting_measures.py",
    "tests/domain/biomechanics/test_laws_of_forms.py",
)
_checked = _in(
    "src/invelo/domain/biomechanics/posture/checks.py",
    "tests/domain/biomechanics/test_limiting_measures.py",
    "tests/domain/biomechanics/test_laws_of_forms.py",
)
_limits = _in(
    "src/invelo/domain/biomechanics/effort.py",
    "tests/domain/biomechanics/test_limiting_measures.py",
)
_set_up = _in(
    "src/invelo/domain/biomechanics/setup.py", "tests/domain/biomechanics/test_laws_of_forms.py"
)
_bands = _in("src/invelo/domain/strength/bands.py", "tests/domain/strength/test_bands.py")
_scale = _in(
    "src/invelo/domain/athlete/household_scale.py", "tests/domain/athlete/test_household_scale.py"
)
_reading = _in(
    "src/invelo/domain/biomechanics/reading.py", "tests/domain/athlete/test_household_scale.py"
)
_ready = _in("src/invelo/domain/ladder/ready.py", "tests/domain/ladder/test_ladder.py")
_rung = _in("src/invelo/domain/ladder/rung.py", "tests/domain/ladder/test_ladder.py")
_catalogue = _in("src/invelo/domain/catalogue/catalogue.py", "tests/domain/ladder/test_ladder.py")
_scale_kept = _in(
    "src/invelo/services/athlete/household_scale.py", "tests/api/athlete/test_household_scale.py"
)
_background = _in(
    "src/invelo/services/background.py",
    "tests/api/training/test_log_files.py",
    "tests/api/simulation/test_comparisons.py",
)

_fatigue = _in(
    "src/invelo/domain/strength/fatigue.py",
    "tests/domain/strength/test_fatigue.py",
    "tests/domain/review/test_cases.py",
)
_state = _in(
    "src/invelo/domain/strength/state.py",
    "tests/domain/strength/test_state.py",
    "tests/domain/review/test_cases.py",
    "tests/reference/test_state_of_simulated_athletes.py",
)
_says = _in(
    "src/invelo/domain/strength/says.py",
    "tests/domain/review/test_cases.py",
    "tests/reference/test_state_of_simulated_athletes.py",
)
_asked = _in("src/invelo/domain/plan/asked.py", "tests/domain/plan/test_asked.py")


def _proposals(module: str):  # type: ignore[no-untyped-def]
    return _in(
        f"src/invelo/domain/review/proposals/{module}.py",
        "tests/domain/review/test_cases.py",
        "tests/domain/review/test_growing.py",
    )


_criterion, _upward, _downward = map(_proposals, ("criterion", "upward", "downward"))
_plateau, _checking, _routine = map(_proposals, ("plateau", "checking", "routine"))
_suppression = _proposals("suppression")


def _grows(path: str):  # type: ignore[no-untyped-def]
    return _in(path, "tests/domain/review/test_growing.py")


_growing = _grows("src/invelo/domain/review/proposals/progression.py")
_growing_easy = _grows("src/invelo/domain/review/proposals/checking.py")
_growing_methods = _grows("src/invelo/domain/plan/methods.py")
_growing_asked = _grows("src/invelo/domain/plan/asked.py")

MUTATIONS = [
    _fatigue("a set to its end hardly tires", "FAST", "0.55", "0.25"),
    _fatigue("rest gives nothing back", "Fatigue.after", "-rest / FAST_SECONDS", "-0.1"),
    _fatigue("a short set tires in full", "Fatigue.after", " ** 2", " ** 0.1"),
    _fatigue("nobody tires at a pace of their own", "Fatigue.left", "personal * ", ""),
    _state("growth is not carried on", "_moved", "step * mean[_GROWTH] -", "0.0 -"),
    _state("nothing is lost in a long break", "LOSS", "21, 0.012", "21, 0.0"),
    _state("a bad day is believed whole", "BAD_DAY", "0.75", "0.0"),
    _state("later sets are read as fresh", "seen", "fatigue = fatigue.after(", "fatigue.after("),
    _state("another movement is the same", "SUITS_SD", "0.04", "0.0004"),
    _state("the rest of the chances is lost", "chance_of_each", "amount + reserve", "amount"),
    _says("a hold at its top is its end", "_of_hold", "asked.open or", "True or"),
    _says("a rated set leaves nothing", "_of_reps", "reserve = 10.0 - record.rpe", "reserve = 0.5"),
    _says("an unclean set counts", "_clean", "record.form_ok or", "True or"),
    _asked("the way back is four weeks for all", "way_back", "away // 7", "99"),
    _asked("the way back asks all sets", "LEAST_SHARE", "0.5", "1.0"),
    _asked("the way back asks full effort", "EASY_RPE", "7.0", "9.0"),
    _asked("a fortnight's gap is no break", "AWAY_DAYS", "14", "40"),
    _asked("a usual gap is a break", "AWAY_INTERVALS", "2.5", "0.5"),
    _asked("first days ask as much", "FIRST_SESSIONS", "2", "0"),
    _asked("every set of reps goes on", "last_rpe", "prescription.rpe < HARD_RPE", "False"),
    _asked(
        "a hold comes back shorter than is useful", "_lowered", "max(int(LEAST_", "min(int(LEAST_"
    ),
    _criterion(
        "one session shows a criterion", "_by_method", "times < criterion.sessions", "False"
    ),
    _criterion("effort does not count", "_enough", "record.rpe <= most", "True"),
    _criterion("six weeks are a long stay", "LONG_SESSIONS", "16, 56", "8, 28"),
    _criterion("nobody's stay is too long", "LONG_SESSIONS", "16, 56", "900, 56"),
    _criterion("nothing is too light", "_too_light", "first.least < ceiling", "True"),
    _upward("a climb needs no chance", "_climb", "near.fits < least", "False"),
    _upward("what was stepped back from is foreseen", "_foreseen", "if again:", "if False:"),
    _upward("nothing is passed over", "PASSED", "0.6", "1.1"),
    _upward("the goal is never reached", "_way_on", "if not situation.above:", "if False:"),
    _upward("keeping climbs", "upward", 'situation.purpose == "keep"', "False"),
    _upward(
        "a gap is not bridged from the kit",
        "_bridged",
        "if is_open else None",
        "if False else None",
    ),
    _downward("one bad session takes a set away", "RUNNING", "2", "1"),
    _downward(
        "effort above what was asked is no matter",
        "share_done",
        "total += record.least - above",
        "total += record.least",
    ),
    _downward("a set less is never tried", "_fewer", '"fewer_sets"', '"step_back"'),
    _downward("a set less does not count as given", "GIVEN_DAYS", "28", "0"),
    _plateau("four sessions are a plateau", "SESSIONS", "6", "2"),
    _plateau("growth is a plateau", "FLAT_CHANCE", "0.4", "-1.0"),
    _plateau("no plateau is called", "FLAT_CHANCE", "0.4", "1.1"),
    _checking("old evidence is never renewed", "due", "days is None or days >= OLD_DAYS", "False"),
    _checking("a set to its end every day", "AT_MOST_EVERY", "14", "0"),
    _growing_easy("far too easy is no reason to look", "too_easy", "record.rpe < most", "False"),
    _growing_easy(
        "an easy week is looked into", "too_easy", '("", "first")', '("", "first", "easy")'
    ),
    _growing("sets grow on the way back", "volume", " or situation.coming_back", ""),
    _growing("sets grow every week", "volume", "days < GROWN_AFTER or ", ""),
    _growing("sets grow without end", "volume", "prescription.sets >= most or ", ""),
    _growing("sets grow in spite of pain", "_strained", "hurts or ", ""),
    _growing(
        "sets grow though they fall short", "_strained", " or fell_short(session, situation)", ""
    ),
    _growing_methods("size grows to five sets", "MOST_SETS", "4", "5"),
    _growing_methods("strength stays with four", "MOST_HARD_SETS", "5", "4"),
    _growing_asked(
        "a first day is asked again though it was far too easy",
        "session_asked",
        " and not open_end",
        "",
    ),
    _routine("as often as it likes", "within", ">= bounds.per_week", ">= 99"),
    _routine("undone changes go on", "UNDONE", "2", "9"),
    _suppression("a no is asked again at once", "_same", "before.days < DECLINED_DAYS", "False"),
    _accounts("a guess more", "_require_window", "len(made) >= most", "len(made) > most"),
    _accounts("no pause between guesses", "_require_pause", "left > 0", "left > 1e9"),
    _devices(
        "any browser is known to any coach",
        "known_device",
        ", AccountRow.email == address",
        "",
    ),
    _versions("a stale page changes", "require_match", "given != str(stands)", "given == ''"),
    _week_undo(
        "a number is given again",
        "keep",
        "plan_rows.last_number(db, athlete.id, seen.week_start) + 1",
        "standing + 1",
    ),
    _known(
        "one set for two rows", "match", "by_moment[row.moment].pop(0)", "by_moment[row.moment][0]"
    ),
    _night("weeks are reviewed at any hour", "queue_due", ".hour in NIGHT", ".hour >= 0"),
    _once_more(
        "a clash is not tried again", "OnceMore.__call__", 'state.pop("clashed", False)', "False"
    ),
    _kit("a thing tells that it is there", "item", "where.account_id != account_id", "False"),
    _effort(
        "strength of the other way",
        "_least",
        "torque >= 0.0, left, right",
        "torque < 0.0, left, right",
    ),
    _effort("nothing slips", "FRICTION", "FRICTION = 0.8", "FRICTION = 0.1"),
    _effort("a knee bent is as strong", "leg_effort", " * np.interp(bend, *KNEE_AT)", ""),
    _arms(
        "hands slide along the floor",
        "press",
        "kept = along - np.sqrt(np.maximum(apart - (front + away) ** 2, 0.0))",
        "kept = depth * HANDS_BACK * stature",
    ),
    _third(
        "a rep asks its easiest third", "hardest_third", "-np.sort(-measured", "np.sort(measured"
    ),
    _curve("no rep is lost for load", "UPPER", "10: 0.77", "10: 0.885"),
    _tempo("slow reps cost their time", "ENDURANCE_EXPONENT", "= 0.65", "= 1.0"),
    _tempo("holding costs nothing", "HOLD_COST", "HOLD_COST = 0.75", "HOLD_COST = 0.2"),
    _holds("one curve is all there is", "HoldCapacity.predict", "if others:", "if not others:"),
    _workload(
        "a doubled week warns of nothing",
        "newest_ratios",
        "rolling(aligned, SHORT_DAYS)",
        "rolling(aligned, LONG_DAYS)",
    ),
    _access("any session is one's own", "own_session", " or session.athlete_id != athlete_id", ""),
    _access("a reader may write", "WRITE", '("owner", "coach")', '("owner", "coach", "reader")'),
    _access("a second coach may erase", "OWN", '("owner",)', '("owner", "coach")'),
    _access(
        "any coach may see anyone",
        "_allowed",
        "AthleteAccessRow.account_id == account_id, ",
        "",
    ),
    _floor(
        "another's session is opened again",
        "start",
        "kept.athlete_id == athlete.id",
        "kept.athlete_id",
    ),
    _floor(
        "a set of another session is corrected",
        "_keep",
        "old is None or old.session_id != session.id",
        "old is None",
    ),
    _floor(
        "a set is corrected twice",
        "_keep",
        "training_rows.is_corrected(db, old.id)",
        "False",
    ),
    _draft(
        "a correction makes a remembered count exact",
        "_remembered",
        "row.least is None or row.most is None",
        "True",
    ),
    _draft("a correction forgets what was asked", "draft_of", "row.prescribed_min", "None"),
    _draft("a correction forgets the load", "draft_of", "modifiers_of(row)", "None"),
    _context("a clock ten minutes off is believed", "CLOCK_BELIEVED", "minutes=2", "minutes=10"),
    _context("a clock a minute off is not believed", "CLOCK_BELIEVED", "minutes=2", "minutes=1"),
    _context("a device may run two hours ahead", "CLOCK_LEEWAY", "hours=1", "hours=2"),
    _context(
        "sets are logged in the future",
        "device_moment",
        "min(device_clock.at + skew, now)",
        "device_clock.at + skew",
    ),
    _context(
        "a wrong clock is made worse",
        "device_moment",
        "device_clock.at + skew",
        "device_clock.at - skew",
    ),
    _context(
        "a link opens any floor",
        "visitor",
        "athlete is not None and athlete.id == athlete_id",
        "athlete is not None",
    ),
    _request_id(
        "two requests have one name", "RequestId.__call__", "secrets.token_hex(6)", '"5f0c2a9d417b"'
    ),
    _problems(
        "a problem does not name its request", "problem", "request_id=request_id()", 'request_id=""'
    ),
    _security(
        "twice the largest body is read", "_Body._over", "> self._limit", "> 2 * self._limit"
    ),
    _security(
        "a stump is answered as it comes", "_Body.instead", "if self._over and", "if False and"
    ),
    _security(
        "another site's page may write",
        "same_site",
        '"same-origin", "none"',
        '"same-origin", "none", "cross-site"',
    ),
    _account_rows("a sign-in never runs out", "signed_in", ", SignInRow.expires_at > now", ""),
    _screen("ten weeks heal an operation", "HEALING_WEEKS", "12", "10"),
    _screen("the surgeon speaks a week longer", "HEALING_WEEKS", "12", "13"),
    _screen(
        "twelve weeks do not heal",
        "_states",
        "answers.operated_weeks < HEALING_WEEKS",
        "answers.operated_weeks <= HEALING_WEEKS",
    ),
    _safety(
        "pain holds nothing back",
        "in_spite",
        "stop is None or proposal.outcome not in HARDER",
        "True",
    ),
    _placement(
        "someone is placed on a closed rung",
        "place",
        "estimate is not None and i not in closed",
        "estimate is not None",
    ),
    _workshop(
        "a bridge takes what a limit closes",
        "bridge_between",
        "seen.guarded.open_movements,",
        "None,",
    ),
    _workshop(
        "a bridge takes kit from anywhere",
        "bridge_between",
        "guard.hand_of(db, seen.guarded, coach_id)",
        "__import__('invelo.domain.equipment.kit').core.kit.ANYTHING",
    ),
    _trainee(
        "a closed rung is offered as a choice",
        "_stand",
        "[at for at in trained if at not in seen.shut]",
        "found",
    ),
    _ladder(
        "a week takes tasks that are not its own", "WeekView.with_plan", "key not in known", "False"
    ),
    _ports("a held port is given away", "held_port", "yield port", "holder.close(); yield 1"),
    # ---- model 5, second part ----
    _model_error("studies agree", "BETWEEN", "0.077", "0.02"),
    _model_error("set-ups of a study agree", "WITHIN", "0.055", "0.02"),
    _model_error(
        "a load is told without the model's error",
        "relative_error",
        "Z80 * hypot(between",
        "0.1 * hypot(between",
    ),
    _model_error("one limb is half of two", "deficit_of", "DEFICIT[1] * abs(alone)", "0.0"),
    _equilibrium("spread legs weigh less", "_torque", 'if form.joint == "hip"', "if False"),
    _equilibrium("the lifted trunk hangs free", "_torque", "if form.upper_trunk:", "if False:"),
    _equilibrium(
        "a band at the feet hangs anywhere", "_anchor", 'band.at == "feet"', 'band.at == "toes"'
    ),
    _built(
        "raised feet keep the hips up",
        "_lower_from_raised_feet",
        "np.degrees(np.arcsin(raised) - np.arcsin(over))",
        "np.zeros(1)",
    ),
    _checked("legs rise as they like", "check_lift", "line[..., 1] > most", "line[..., 1] > 9.0"),
    _checked("straps pull from below", "check_straps", "anchor > 0.0", "anchor > 90.0"),
    _built("hands slide in a pike", "build", "if form.gives:", "if False:"),
    _built(
        "wide arms are long arms",
        "_angles",
        'np.radians(values["width"])',
        'np.radians(0 * values["width"])',
    ),
    _limits("planks are pulled together", "_cones", "if contact.pull:", "if False:"),
    _limits("a deep knee is strong", "joint_shares", 'if joint == "knee":', "if False:"),
    _set_up("feet that stand are held up", "SetUp._check_help", "and stands", "and False"),
    _bands("a label is as good as pulls", "LABEL_SCATTER", "0.5", "0.02"),
    _bands("two pulls are a label", "fit", "if len(pulls) == 1:", "if len(pulls) <= 2:"),
    _scale("any weight may stand", "TYPED_WITHIN", "0.05", "0.5"),
    _scale("feet may carry all", "_part", "if not low <= hands <= high:", "if False:"),
    _scale("one reading says all", "check", "1 / HANDS_SHARED**2 +", "1e-9 +"),
    _reading("the feet keep what the hands take", "_as_weighed", "else force - more", "else force"),
    _ready("a step down is a step up", "LESS", "0.98", "0.5"),
    _rung(
        "a body that cannot takes the ladder with it",
        "demand",
        "except InputError as error:",
        "except KeyError as error:",
    ),
    _catalogue(
        "a wall is as high for all",
        "ReadySetUp.modifiers",
        "if stature != USUAL_STATURE:",
        "if False:",
    ),
    _scale_kept(
        "a check stands by itself",
        "keep",
        "    db.flush()\n    return row",
        "    db.flush()\n    return accept(db, athlete, row.id, moment.at)",
    ),
    _scale_kept("what was undone stays", "undo", "_put(db, athlete.id, None, None)", "pass"),
    _background(
        "two files at a time",
        "ask",
        "background_rows.under_way(db, kind, owner_id) is not None",
        "False",
    ),
    _background("what was stopped is done", "take_up", " or row.state not in UNDER_WAY", ""),
    _background(
        "another's task is shown", "of_owner", " or getattr(row, _OWNER[kind]) != owner_id", ""
    ),
    # ---- the phone ----
    _machine("the first side is forgotten", "worked", "firstSide: count }", "firstSide: null }"),
    _machine("the sides are swapped", "sidesOf", '"right" ?', '"left" ?'),
    _machine("a sensor is not believed", "worked", "seen && set.what", "!seen && set.what"),
    _machine(
        "a second side invents a first",
        "worked",
        "second && run.firstSide ? [run.firstSide, count]",
        "second ? [run.firstSide ?? count, count]",
    ),
    _planning(
        "a week is planned twice at a time",
        "ask",
        "plan_rows.planning_under_way(db, athlete.id, seen.week_start) is not None",
        "False",
    ),
    _planning("what is asked for again is not", "finish", "row.asks != question.asks", "False"),
    _planning(
        "a plan is written twice",
        "finish",
        "row is None or row.state not in UNDER_WAY",
        "row is None",
    ),
    _planning(
        "a plan is written over another",
        "finish",
        "number = question.number",
        "number = seen.row.number if seen.row else 0",
    ),
    _planning("a decision's plan can be stopped", "stop", "if row.again:", "if False:"),
    _planning("a planning that ended is taken up", "take_up", " or row.state not in UNDER_WAY", ""),
    _machine("a skip forgets the first side", "skip", "run.firstSide\n", "false\n"),
    _machine("pain under the limit ends it", "log", "entry.pain < stop", "entry.pain + 1 < stop"),
    _machine("pain at the limit goes on", "log", "entry.pain < stop", "entry.pain <= stop"),
    _machine("pain ends its item alone", "log", "jointsOf(entry.place)", "[]"),
    _machine("pain opens an ended session", "log", "stopped.finishing || ", ""),
    _machine("pain told before lets all be done", "endedBefore", "places.includes(joint)", "false"),
    _machine("a count of three hundred", "counted", "200", "300"),
    _machine("a count of none", "counted", "Math.max(1,", "Math.max(0,"),
    _machine("the last rep is not counted", "counted", "seconds + 0.25", "seconds"),
    _machine("a hold counts half seconds up", "counted", "Math.floor", "Math.round"),
    _machine(
        "a late wake ends sets late",
        "tick",
        "advance(next, due, means)",
        "advance(next, now, means)",
    ),
    _machine("a pause forgets the time", "pause", "elapsed(run, now) * 1000", "0"),
    _machine("back keeps the set that goes", "back", "entry !== gone", "true"),
    _machine("back forgets the first side", "back", "gone && event?.side === 2", "gone && false"),
    _machine("nobody stops for pain", "goTo", "!done(run, event)", "true"),
    _machine("drops may be swapped", "canSwap", "PLANNED.includes(set.kind)", "true"),
    _outgoing("both sides send one count", "set", "entry.amounts[side]", "entry.amounts[0]"),
    _outgoing("both sides send one name", "set", "entry.sides[side]", "entry.sides[0]"),
    _outgoing("faults go out as clean", "set", "entry.faults.length === 0", "true"),
    _outgoing("about is sent as counted", "set", "entry.about", "!entry.about"),
    _clock("a set clock moves the past", "deviceStamp", "(runs - moment)", "(runs - moment) * 0"),
    _clock("reps drift", "beat", "elapsed) / whole + 1e-9", "elapsed) / whole - 0.01"),
    _outbox("the phone spins", "pause", "2 ** (misses - 1)", "0"),
    _outbox("a pause grows for ever", "pause", "Math.min(", "Math.max("),
    _outbox("the pause stays long", "inTurn", 'became.kind !== "away"', "false"),
    _outbox(
        "what is refused is lost",
        "inTurn",
        '.put("outbox", { ...next, refused: became.errors })',
        '.delete("outbox", next.seq as number)',
    ),
    _outbox("things go out backwards", "inTurn", "waiting[0]", "waiting.at(-1)"),
    _outbox("a sign-in page takes the sets", "became", '"text/html"', '"text/none"'),
    _outbox("too many is refused for good", "LATER", "429", "430"),
    _outbox("every press is an attempt", "send", "if (attempt)", "if (attempt && false)"),
    _outbox("a request may hang for ever", "once", "stop.abort()", "undefined"),
    _keep("a run is kept without its set", "whole", "transaction.abort();", ""),
    _keep("a new version loses partial reps", "withPartials", "=> partial)", "=> 0)"),
]
