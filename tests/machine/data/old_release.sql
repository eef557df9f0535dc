--
-- PostgreSQL database dump
--


-- Dumped from database version 15.18 (Debian 15.18-0+deb12u1)
-- Dumped by pg_dump version 15.18 (Debian 15.18-0+deb12u1)

SET statement_timeout = 0;
SET lock_timeout = 0;
SET idle_in_transaction_session_timeout = 0;
SET client_encoding = 'UTF8';
SET standard_conforming_strings = on;
SELECT pg_catalog.set_config('search_path', '', false);
SET check_function_bodies = false;
SET xmloption = content;
SET client_min_messages = warning;
SET row_security = off;

--
-- Name: refuse_change(); Type: FUNCTION; Schema: public; Owner: -
--

CREATE FUNCTION public.refuse_change() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
BEGIN
    IF TG_OP = 'DELETE' AND current_setting('invelo.erasing', true) = 'yes' THEN
        RETURN OLD;
    END IF;
    RAISE EXCEPTION '% is append-only: write a new row that corrects the old', TG_TABLE_NAME;
END
$$;


SET default_tablespace = '';

SET default_table_access_method = heap;

--
-- Name: account; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.account (
    id uuid NOT NULL,
    email character varying NOT NULL,
    name character varying NOT NULL,
    password_hash character varying NOT NULL,
    time_zone character varying NOT NULL,
    created_at timestamp with time zone NOT NULL
);


--
-- Name: adapted_day; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.adapted_day (
    id uuid NOT NULL,
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    athlete_id uuid NOT NULL,
    day date NOT NULL,
    allowed jsonb NOT NULL,
    session jsonb NOT NULL
);


--
-- Name: alembic_version; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.alembic_version (
    version_num character varying(32) NOT NULL
);


--
-- Name: athlete; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.athlete (
    id uuid NOT NULL,
    name character varying NOT NULL,
    time_zone character varying NOT NULL,
    note character varying NOT NULL,
    consent_on date NOT NULL,
    created_at timestamp with time zone NOT NULL
);


--
-- Name: athlete_access; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.athlete_access (
    account_id uuid NOT NULL,
    athlete_id uuid NOT NULL,
    role character varying NOT NULL,
    CONSTRAINT ck_athlete_access_ck_athlete_access_role CHECK (((role)::text = ANY ((ARRAY['owner'::character varying, 'coach'::character varying, 'reader'::character varying])::text[])))
);


--
-- Name: band; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.band (
    id uuid NOT NULL,
    account_id uuid NOT NULL,
    name character varying NOT NULL,
    rest_m double precision NOT NULL,
    "limit" double precision NOT NULL,
    pulls jsonb NOT NULL,
    created_at timestamp with time zone NOT NULL,
    retired_at timestamp with time zone,
    retired_why character varying NOT NULL
);


--
-- Name: calendar_feed; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.calendar_feed (
    token_hash character varying NOT NULL,
    athlete_id uuid NOT NULL,
    created_at timestamp with time zone NOT NULL,
    revoked_at timestamp with time zone
);


--
-- Name: clearance; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.clearance (
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    id uuid NOT NULL,
    screening_id uuid NOT NULL,
    author_id uuid,
    said_by character varying NOT NULL,
    word character varying NOT NULL,
    lifts text[] NOT NULL
);


--
-- Name: decision; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.decision (
    model_version character varying NOT NULL,
    catalogue_version character varying NOT NULL,
    inputs jsonb NOT NULL,
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    id uuid NOT NULL,
    ladder_id uuid NOT NULL,
    session_id uuid NOT NULL,
    outcome character varying NOT NULL,
    from_rung_id uuid NOT NULL,
    to_rung_id uuid NOT NULL,
    reason character varying NOT NULL,
    figures jsonb NOT NULL,
    rules text[] NOT NULL,
    confidence character varying NOT NULL,
    confidence_why character varying NOT NULL,
    answer character varying,
    answered_at timestamp with time zone,
    answered_by uuid,
    word character varying NOT NULL,
    final_rung_id uuid,
    CONSTRAINT ck_decision_ck_decision_answer CHECK (((answer)::text = ANY ((ARRAY['take'::character varying, 'edit'::character varying, 'decline'::character varying, 'lapse'::character varying])::text[]))),
    CONSTRAINT ck_decision_ck_decision_outcome CHECK (((outcome)::text = ANY ((ARRAY['stop'::character varying, 'step-back'::character varying, 'hold'::character varying, 'step-up'::character varying])::text[])))
);


--
-- Name: habit; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.habit (
    id uuid NOT NULL,
    movement character varying NOT NULL,
    changes jsonb NOT NULL,
    athlete_id uuid NOT NULL,
    moment character varying NOT NULL,
    at character varying NOT NULL,
    zone character varying NOT NULL,
    amount integer NOT NULL,
    unit character varying NOT NULL,
    begun_on date NOT NULL,
    ended_on date,
    ended_why character varying NOT NULL,
    CONSTRAINT ck_habit_amount CHECK (((amount >= 1) AND (amount <= 60))),
    CONSTRAINT ck_habit_unit CHECK (((unit)::text = ANY ((ARRAY['reps'::character varying, 's'::character varying])::text[])))
);


--
-- Name: habit_tick; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.habit_tick (
    id uuid NOT NULL,
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    habit_id uuid NOT NULL,
    amount integer NOT NULL,
    trial boolean NOT NULL,
    CONSTRAINT ck_habit_tick_amount CHECK (((amount >= 1) AND (amount <= 600)))
);


--
-- Name: kit_item; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.kit_item (
    id uuid NOT NULL,
    place_id uuid NOT NULL,
    kind character varying NOT NULL,
    name character varying NOT NULL,
    height_m double precision,
    kg double precision,
    count integer NOT NULL,
    setup_minutes double precision NOT NULL,
    home_made boolean NOT NULL,
    band_id uuid,
    photo bytea,
    photo_type character varying NOT NULL,
    approved_on date,
    checked_on date,
    safe boolean,
    checked_by character varying NOT NULL
);


--
-- Name: ladder; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.ladder (
    id uuid NOT NULL,
    athlete_id uuid NOT NULL,
    goal character varying NOT NULL,
    family character varying NOT NULL,
    school character varying NOT NULL,
    purpose character varying NOT NULL,
    level character varying NOT NULL,
    standing_id uuid,
    stopped character varying NOT NULL,
    created_at timestamp with time zone NOT NULL,
    least_reps double precision NOT NULL,
    least_seconds double precision NOT NULL,
    step double precision NOT NULL,
    levers text[] NOT NULL,
    drawn integer NOT NULL
);


--
-- Name: logged_set; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.logged_set (
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    id uuid NOT NULL,
    session_id uuid NOT NULL,
    rung_id uuid NOT NULL,
    number integer NOT NULL,
    amount double precision NOT NULL,
    effort double precision NOT NULL,
    clean boolean NOT NULL,
    pain integer NOT NULL,
    pain_place character varying NOT NULL,
    corrects uuid,
    server_at timestamp with time zone NOT NULL,
    CONSTRAINT ck_logged_set_amount CHECK (((amount >= (0)::double precision) AND (amount <= (3600)::double precision))),
    CONSTRAINT ck_logged_set_ck_logged_set_effort CHECK (((effort >= (1)::double precision) AND (effort <= (10)::double precision))),
    CONSTRAINT ck_logged_set_ck_logged_set_number CHECK (((number >= 1) AND (number <= 99))),
    CONSTRAINT ck_logged_set_ck_logged_set_pain CHECK (((pain >= 0) AND (pain <= 10)))
);


--
-- Name: measure; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.measure (
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    id uuid NOT NULL,
    athlete_id uuid NOT NULL,
    mass_kg double precision NOT NULL,
    stature_m double precision NOT NULL,
    lengths jsonb NOT NULL,
    CONSTRAINT ck_measure_ck_measure_mass_kg CHECK (((mass_kg >= (20)::double precision) AND (mass_kg <= (300)::double precision))),
    CONSTRAINT ck_measure_ck_measure_stature_m CHECK (((stature_m >= (1)::double precision) AND (stature_m <= (2.4)::double precision)))
);


--
-- Name: own_session; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.own_session (
    id uuid NOT NULL,
    account_id uuid NOT NULL,
    name character varying NOT NULL,
    document jsonb NOT NULL,
    created_at timestamp with time zone NOT NULL
);


--
-- Name: person; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.person (
    athlete_id uuid NOT NULL,
    told jsonb NOT NULL,
    updated_at timestamp with time zone NOT NULL
);


--
-- Name: place; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.place (
    id uuid NOT NULL,
    account_id uuid NOT NULL,
    name character varying NOT NULL,
    floor character varying NOT NULL,
    created_at timestamp with time zone NOT NULL,
    CONSTRAINT ck_place_floor CHECK (((floor)::text = ANY ((ARRAY['gripping'::character varying, 'smooth'::character varying])::text[])))
);


--
-- Name: placement; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.placement (
    model_version character varying NOT NULL,
    catalogue_version character varying NOT NULL,
    inputs jsonb NOT NULL,
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    id uuid NOT NULL,
    ladder_id uuid NOT NULL,
    rung_id uuid NOT NULL,
    result jsonb NOT NULL
);


--
-- Name: readiness; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.readiness (
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    id uuid NOT NULL,
    athlete_id uuid NOT NULL,
    "check" character varying NOT NULL,
    passed boolean NOT NULL,
    word character varying NOT NULL
);


--
-- Name: rung; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.rung (
    movement character varying NOT NULL,
    id uuid NOT NULL,
    ladder_id uuid NOT NULL,
    "position" integer NOT NULL,
    name character varying NOT NULL,
    sets integer NOT NULL,
    low integer NOT NULL,
    high integer NOT NULL,
    rest_s integer NOT NULL,
    effort double precision NOT NULL,
    gate_sets integer NOT NULL,
    gate_amount integer NOT NULL,
    gate_effort double precision NOT NULL,
    gate_sessions integer NOT NULL,
    changes jsonb NOT NULL,
    unit character varying NOT NULL,
    why character varying NOT NULL,
    CONSTRAINT ck_rung_unit CHECK (((unit)::text = ANY ((ARRAY['reps'::character varying, 's'::character varying, 'cm'::character varying])::text[])))
);


--
-- Name: screening; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.screening (
    model_version character varying NOT NULL,
    catalogue_version character varying NOT NULL,
    inputs jsonb NOT NULL,
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    id uuid NOT NULL,
    athlete_id uuid NOT NULL,
    outcome character varying NOT NULL,
    findings jsonb NOT NULL,
    CONSTRAINT ck_screening_ck_screening_outcome CHECK (((outcome)::text = ANY ((ARRAY['go'::character varying, 'limits'::character varying, 'doctor'::character varying])::text[])))
);


--
-- Name: sign_in; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.sign_in (
    token_hash character varying NOT NULL,
    account_id uuid NOT NULL,
    created_at timestamp with time zone NOT NULL,
    expires_at timestamp with time zone NOT NULL
);


--
-- Name: sign_in_attempt; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.sign_in_attempt (
    id integer NOT NULL,
    key character varying NOT NULL,
    at timestamp with time zone NOT NULL
);


--
-- Name: sign_in_attempt_id_seq; Type: SEQUENCE; Schema: public; Owner: -
--

CREATE SEQUENCE public.sign_in_attempt_id_seq
    AS integer
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;


--
-- Name: sign_in_attempt_id_seq; Type: SEQUENCE OWNED BY; Schema: public; Owner: -
--

ALTER SEQUENCE public.sign_in_attempt_id_seq OWNED BY public.sign_in_attempt.id;


--
-- Name: sketch; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.sketch (
    id uuid NOT NULL,
    ladder_id uuid NOT NULL,
    number integer NOT NULL,
    at timestamp with time zone NOT NULL,
    word character varying NOT NULL,
    document jsonb NOT NULL
);


--
-- Name: test; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.test (
    movement character varying NOT NULL,
    model_version character varying NOT NULL,
    catalogue_version character varying NOT NULL,
    inputs jsonb NOT NULL,
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    id uuid NOT NULL,
    athlete_id uuid NOT NULL,
    amount double precision NOT NULL,
    effort double precision NOT NULL,
    result jsonb NOT NULL,
    changes jsonb NOT NULL,
    side character varying NOT NULL,
    CONSTRAINT ck_test_amount CHECK (((amount >= (0.5)::double precision) AND (amount <= (3600)::double precision))),
    CONSTRAINT ck_test_effort CHECK (((effort >= (1)::double precision) AND (effort <= (10)::double precision))),
    CONSTRAINT ck_test_side CHECK (((side)::text = ANY ((ARRAY[''::character varying, 'left'::character varying, 'right'::character varying])::text[])))
);


--
-- Name: tie; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.tie (
    lower_id uuid NOT NULL,
    upper_id uuid NOT NULL
);


--
-- Name: training_session; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.training_session (
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    id uuid NOT NULL,
    ladder_id uuid NOT NULL,
    rung_id uuid NOT NULL,
    finished_at timestamp with time zone,
    effort double precision,
    CONSTRAINT ck_training_session_ck_training_session_effort CHECK (((effort >= (1)::double precision) AND (effort <= (10)::double precision)))
);


--
-- Name: week_plan; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.week_plan (
    id uuid NOT NULL,
    at timestamp with time zone NOT NULL,
    zone character varying NOT NULL,
    local_date date NOT NULL,
    model_version character varying NOT NULL,
    catalogue_version character varying NOT NULL,
    inputs jsonb NOT NULL,
    athlete_id uuid NOT NULL,
    monday date NOT NULL,
    number integer NOT NULL,
    placed jsonb NOT NULL,
    result jsonb NOT NULL,
    word character varying NOT NULL,
    CONSTRAINT ck_week_plan_monday CHECK ((EXTRACT(isodow FROM monday) = (1)::numeric))
);


--
-- Name: week_wishes; Type: TABLE; Schema: public; Owner: -
--

CREATE TABLE public.week_wishes (
    athlete_id uuid NOT NULL,
    told jsonb NOT NULL,
    updated_at timestamp with time zone NOT NULL
);


--
-- Name: sign_in_attempt id; Type: DEFAULT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.sign_in_attempt ALTER COLUMN id SET DEFAULT nextval('public.sign_in_attempt_id_seq'::regclass);


--
-- Data for Name: account; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.account (id, email, name, password_hash, time_zone, created_at) FROM stdin;
915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4	coach@theatre.example	Ilse Marn	$argon2id$v=19$m=65536,t=3,p=4$xmfZ2HCwt5xpsic1WAvpaA$Mwxbg+ykYk/GKG+oZWOPjtltsiN9zlX7QCv1isH5FNQ	Europe/Lisbon	2026-02-02 09:00:00+00
\.


--
-- Data for Name: adapted_day; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.adapted_day (id, at, zone, local_date, athlete_id, day, allowed, session) FROM stdin;
\.


--
-- Data for Name: alembic_version; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.alembic_version (version_num) FROM stdin;
0007
\.


--
-- Data for Name: athlete; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.athlete (id, name, time_zone, note, consent_on, created_at) FROM stdin;
c960d61a-6a28-40ed-a3c7-559def367133	Tilde Varga	Europe/Lisbon	Puppeteer. New to strength work; arms tire before the show does.	2026-01-19	2026-01-19 09:00:00+00
fa48a7d6-c790-44e1-9ae5-de14d4a858c7	Juno Pell	Europe/Lisbon	Lights and rigging. Steady; wants push-ups with a sandbag by the autumn run.	2026-01-18	2026-01-18 09:00:00+00
3ee74815-0935-4ab4-b392-c92ff14fa517	Bram Oster	Europe/Lisbon	Drives the second truck, carries the flats. Strong, heavy, a wrist that complains.	2026-01-17	2026-01-17 09:00:00+00
\.


--
-- Data for Name: athlete_access; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.athlete_access (account_id, athlete_id, role) FROM stdin;
915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4	c960d61a-6a28-40ed-a3c7-559def367133	owner
915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	owner
915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4	3ee74815-0935-4ab4-b392-c92ff14fa517	owner
\.


--
-- Data for Name: band; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.band (id, account_id, name, rest_m, "limit", pulls, created_at, retired_at, retired_why) FROM stdin;
29e5334c-a83c-4349-b953-6a6c6e8c1468	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4	narrow	1	3	[[1.2, 25.5], [1.4, 42.17], [1.6, 53.94], [1.8, 64.72], [2.0, 74.53], [2.3, 86.3]]	2026-02-02 09:00:00+00	\N	
a5cda4b1-3ec9-4480-9f0b-367078be7d49	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4	middle	1	3	[[1.2, 52.96], [1.4, 84.34], [1.6, 110.82], [1.8, 129.45], [2.0, 147.1], [2.3, 171.62]]	2026-02-02 09:00:00+00	\N	
8e45bf64-951c-49ca-9022-5df492bd5c95	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4	broad	1	3	[[1.2, 98.07], [1.4, 162.79], [1.6, 211.82], [1.8, 257.91], [2.0, 287.33], [2.3, 321.66]]	2026-02-02 09:00:00+00	\N	
\.


--
-- Data for Name: calendar_feed; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.calendar_feed (token_hash, athlete_id, created_at, revoked_at) FROM stdin;
\.


--
-- Data for Name: clearance; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.clearance (at, zone, local_date, id, screening_id, author_id, said_by, word, lifts) FROM stdin;
\.


--
-- Data for Name: decision; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.decision (model_version, catalogue_version, inputs, at, zone, local_date, id, ladder_id, session_id, outcome, from_rung_id, to_rung_id, reason, figures, rules, confidence, confidence_why, answer, answered_at, answered_by, word, final_rung_id) FROM stdin;
3.1	4	{"gate": {"sets": 2, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["84a6fd75-53d9-499a-a50f-c375d89321c9"]}	2026-01-21 09:25:00+00	Europe/Lisbon	2026-01-21	41916937-53ff-426c-8139-f0e3cc33b14d	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	84a6fd75-53d9-499a-a50f-c375d89321c9	hold	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	0 of 2 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "8 reps at effort 8.5"}, {"name": "set 2", "unit": "", "value": "7 reps at effort 8.5"}, {"name": "gate", "unit": "", "value": "2 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-21 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		9b8f894e-726b-4fcc-8ccc-e0a719ac840d
3.1	4	{"gate": {"sets": 2, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["84a6fd75-53d9-499a-a50f-c375d89321c9", "d7e83f0e-a4c7-4371-86f9-cce40481a728"]}	2026-01-23 09:25:00+00	Europe/Lisbon	2026-01-23	d86fc470-f966-492b-b9f3-b6afa028e458	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	d7e83f0e-a4c7-4371-86f9-cce40481a728	hold	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	0 of 2 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "8 reps at effort 8.5"}, {"name": "set 2", "unit": "", "value": "7 reps at effort 8.5"}, {"name": "gate", "unit": "", "value": "2 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-23 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		9b8f894e-726b-4fcc-8ccc-e0a719ac840d
3.1	4	{"gate": {"sets": 2, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["84a6fd75-53d9-499a-a50f-c375d89321c9", "d7e83f0e-a4c7-4371-86f9-cce40481a728", "cf09c829-151e-4cf7-be7d-0088cf77f77d"]}	2026-01-25 09:25:00+00	Europe/Lisbon	2026-01-25	441c7e3b-ce64-4c46-a416-1332888de602	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	cf09c829-151e-4cf7-be7d-0088cf77f77d	hold	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	0 of 2 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "8 reps at effort 8.5"}, {"name": "set 2", "unit": "", "value": "7 reps at effort 8.5"}, {"name": "gate", "unit": "", "value": "2 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-25 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		9b8f894e-726b-4fcc-8ccc-e0a719ac840d
3.1	4	{"gate": {"sets": 2, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["84a6fd75-53d9-499a-a50f-c375d89321c9", "d7e83f0e-a4c7-4371-86f9-cce40481a728", "cf09c829-151e-4cf7-be7d-0088cf77f77d", "66527e94-88fd-4c44-9c37-394796c34c9c"]}	2026-01-28 09:25:00+00	Europe/Lisbon	2026-01-28	68a5194e-5b12-484c-beee-b712cb55f350	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	66527e94-88fd-4c44-9c37-394796c34c9c	hold	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	0 of 2 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "9 reps at effort 9"}, {"name": "set 2", "unit": "", "value": "8 reps at effort 9"}, {"name": "gate", "unit": "", "value": "2 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-28 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		9b8f894e-726b-4fcc-8ccc-e0a719ac840d
3.1	4	{"gate": {"sets": 2, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["84a6fd75-53d9-499a-a50f-c375d89321c9", "d7e83f0e-a4c7-4371-86f9-cce40481a728", "cf09c829-151e-4cf7-be7d-0088cf77f77d", "66527e94-88fd-4c44-9c37-394796c34c9c", "c47b3f4f-bd12-4cef-94a8-d7d7d15049da"]}	2026-01-30 09:25:00+00	Europe/Lisbon	2026-01-30	9a0ade2a-f11a-4f51-bfd8-95d135eaafef	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	c47b3f4f-bd12-4cef-94a8-d7d7d15049da	hold	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	0 of 2 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "9 reps at effort 9"}, {"name": "set 2", "unit": "", "value": "8 reps at effort 9"}, {"name": "gate", "unit": "", "value": "2 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-30 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		9b8f894e-726b-4fcc-8ccc-e0a719ac840d
3.1	4	{"gate": {"sets": 2, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["84a6fd75-53d9-499a-a50f-c375d89321c9", "d7e83f0e-a4c7-4371-86f9-cce40481a728", "cf09c829-151e-4cf7-be7d-0088cf77f77d", "66527e94-88fd-4c44-9c37-394796c34c9c", "c47b3f4f-bd12-4cef-94a8-d7d7d15049da", "1b668bf9-a3f2-4402-9577-e528239aff73"]}	2026-02-01 09:25:00+00	Europe/Lisbon	2026-02-01	3621f9f8-b348-4b41-a0fe-8b5b370502e7	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	1b668bf9-a3f2-4402-9577-e528239aff73	hold	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	0 of 2 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "9 reps at effort 8.5"}, {"name": "set 2", "unit": "", "value": "8 reps at effort 8.5"}, {"name": "gate", "unit": "", "value": "2 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	\N	\N	\N		\N
3.1	4	{"gate": {"sets": 3, "unit": "reps", "amount": 12, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "size", "sessions": ["beaecd96-ef48-4c35-a509-6f6945cca327"]}	2026-01-20 09:25:00+00	Europe/Lisbon	2026-01-20	0cfc189e-83de-40ff-b62b-aa498173dba5	f3731dd1-3ec4-4d28-889d-bec6c1955933	beaecd96-ef48-4c35-a509-6f6945cca327	hold	f810615b-c31e-40d9-8cf0-3e61bee558e7	f810615b-c31e-40d9-8cf0-3e61bee558e7	0 of 3 sets met 12 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "8 reps at effort 9"}, {"name": "set 2", "unit": "", "value": "7 reps at effort 9"}, {"name": "set 3", "unit": "", "value": "5 reps at effort 8"}, {"name": "gate", "unit": "", "value": "3 × 12 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-20 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		f810615b-c31e-40d9-8cf0-3e61bee558e7
3.1	4	{"gate": {"sets": 3, "unit": "reps", "amount": 12, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "size", "sessions": ["beaecd96-ef48-4c35-a509-6f6945cca327", "5e20306b-0791-4bb4-b3d1-ee19ece6be0a"]}	2026-01-22 09:25:00+00	Europe/Lisbon	2026-01-22	4657f6b8-5d6a-4b33-a708-3c382adcb86e	f3731dd1-3ec4-4d28-889d-bec6c1955933	5e20306b-0791-4bb4-b3d1-ee19ece6be0a	step-back	f810615b-c31e-40d9-8cf0-3e61bee558e7	b6347abd-7876-4f19-89e8-aead25c32be0	A set fell under 8 reps on two sessions running. Step back to “Floor push-up”, where 12 reps (11–13) are likely.	[{"name": "set 1", "unit": "", "value": "8 reps at effort 8"}, {"name": "set 2", "unit": "", "value": "7 reps at effort 8.5"}, {"name": "set 3", "unit": "", "value": "6 reps at effort 8.5"}, {"name": "foot of the range", "unit": "reps", "value": 8}, {"name": "sessions running with a set under it", "unit": "of 2", "value": 2}, {"name": "predicted to failure on the easier rung", "unit": "", "value": "12 reps (11–13)"}]	{range.missed-twice}	medium	One of two signs spoke.	take	2026-01-22 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		b6347abd-7876-4f19-89e8-aead25c32be0
3.1	4	{"gate": {"sets": 3, "unit": "reps", "amount": 12, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "size", "sessions": ["beaecd96-ef48-4c35-a509-6f6945cca327", "5e20306b-0791-4bb4-b3d1-ee19ece6be0a", "257c396a-eda4-4c10-a4be-143599db277b"]}	2026-01-24 09:25:00+00	Europe/Lisbon	2026-01-24	8c8c3ba4-81e5-4ff7-9f30-52ab055f5311	f3731dd1-3ec4-4d28-889d-bec6c1955933	257c396a-eda4-4c10-a4be-143599db277b	hold	b6347abd-7876-4f19-89e8-aead25c32be0	b6347abd-7876-4f19-89e8-aead25c32be0	0 of 3 sets met 12 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "11 reps at effort 8"}, {"name": "set 2", "unit": "", "value": "10 reps at effort 8"}, {"name": "set 3", "unit": "", "value": "9 reps at effort 8.5"}, {"name": "gate", "unit": "", "value": "3 × 12 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-24 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		b6347abd-7876-4f19-89e8-aead25c32be0
3.1	4	{"gate": {"sets": 3, "unit": "reps", "amount": 12, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "size", "sessions": ["beaecd96-ef48-4c35-a509-6f6945cca327", "5e20306b-0791-4bb4-b3d1-ee19ece6be0a", "257c396a-eda4-4c10-a4be-143599db277b", "b2142e91-c913-49e5-a8d6-f738b157ee19"]}	2026-01-27 09:25:00+00	Europe/Lisbon	2026-01-27	9c5a0dce-8b25-40e5-9a8b-e0faceff6128	f3731dd1-3ec4-4d28-889d-bec6c1955933	b2142e91-c913-49e5-a8d6-f738b157ee19	hold	b6347abd-7876-4f19-89e8-aead25c32be0	b6347abd-7876-4f19-89e8-aead25c32be0	1 of 3 sets met 12 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "12 reps at effort 9"}, {"name": "set 2", "unit": "", "value": "10 reps at effort 8"}, {"name": "set 3", "unit": "", "value": "9 reps at effort 8"}, {"name": "gate", "unit": "", "value": "3 × 12 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-27 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		b6347abd-7876-4f19-89e8-aead25c32be0
3.1	4	{"gate": {"sets": 3, "unit": "reps", "amount": 12, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "size", "sessions": ["beaecd96-ef48-4c35-a509-6f6945cca327", "5e20306b-0791-4bb4-b3d1-ee19ece6be0a", "257c396a-eda4-4c10-a4be-143599db277b", "b2142e91-c913-49e5-a8d6-f738b157ee19", "381f7aea-78f3-4ca4-b4ca-cd70f8efe152"]}	2026-01-29 09:25:00+00	Europe/Lisbon	2026-01-29	1531f4c6-cf6b-45d6-8aab-86dfeb2213e3	f3731dd1-3ec4-4d28-889d-bec6c1955933	381f7aea-78f3-4ca4-b4ca-cd70f8efe152	hold	b6347abd-7876-4f19-89e8-aead25c32be0	b6347abd-7876-4f19-89e8-aead25c32be0	1 of 3 sets met 12 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "12 reps at effort 9"}, {"name": "set 2", "unit": "", "value": "11 reps at effort 9"}, {"name": "set 3", "unit": "", "value": "9 reps at effort 8"}, {"name": "gate", "unit": "", "value": "3 × 12 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-29 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		b6347abd-7876-4f19-89e8-aead25c32be0
3.1	4	{"gate": {"sets": 3, "unit": "reps", "amount": 12, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "size", "sessions": ["beaecd96-ef48-4c35-a509-6f6945cca327", "5e20306b-0791-4bb4-b3d1-ee19ece6be0a", "257c396a-eda4-4c10-a4be-143599db277b", "b2142e91-c913-49e5-a8d6-f738b157ee19", "381f7aea-78f3-4ca4-b4ca-cd70f8efe152", "80ba6dfd-300b-42f2-b008-6d500b94f1f8"]}	2026-01-31 09:25:00+00	Europe/Lisbon	2026-01-31	ef84b6ef-a06e-4554-a9d2-f1a47c4cda1a	f3731dd1-3ec4-4d28-889d-bec6c1955933	80ba6dfd-300b-42f2-b008-6d500b94f1f8	hold	b6347abd-7876-4f19-89e8-aead25c32be0	b6347abd-7876-4f19-89e8-aead25c32be0	1 of 3 sets met 12 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "12 reps at effort 9"}, {"name": "set 2", "unit": "", "value": "11 reps at effort 9"}, {"name": "set 3", "unit": "", "value": "9 reps at effort 8"}, {"name": "gate", "unit": "", "value": "3 × 12 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	\N	\N	\N		\N
3.1	4	{"gate": {"sets": 4, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["05a39463-7db8-4a15-a4f9-ad9e4a84398d"]}	2026-01-19 09:25:00+00	Europe/Lisbon	2026-01-19	5ab33537-8308-4468-9243-05f4bc0faff1	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	05a39463-7db8-4a15-a4f9-ad9e4a84398d	hold	62c0ea9f-8907-441d-8cb6-88c11d013258	62c0ea9f-8907-441d-8cb6-88c11d013258	0 of 4 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "5 reps at effort 8.5"}, {"name": "set 2", "unit": "", "value": "3 reps at effort 8"}, {"name": "set 3", "unit": "", "value": "2 reps at effort 8.5"}, {"name": "set 4", "unit": "", "value": "1 reps at effort 9"}, {"name": "gate", "unit": "", "value": "4 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-19 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		62c0ea9f-8907-441d-8cb6-88c11d013258
3.1	4	{"gate": {"sets": 4, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["05a39463-7db8-4a15-a4f9-ad9e4a84398d", "5ea62cb3-26b6-467b-8749-061f49863c44"]}	2026-01-21 09:25:00+00	Europe/Lisbon	2026-01-21	8f32f921-f723-446d-8b0c-02c929ede711	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	5ea62cb3-26b6-467b-8749-061f49863c44	step-back	62c0ea9f-8907-441d-8cb6-88c11d013258	88cf249d-529a-4365-b492-c3565f15a459	A set fell under 6 reps on two sessions running. Step back to “Feet on riser 40”, where 10 reps (8–11) are likely.	[{"name": "set 1", "unit": "", "value": "6 reps at effort 8.5"}, {"name": "set 2", "unit": "", "value": "4 reps at effort 8"}, {"name": "set 3", "unit": "", "value": "3 reps at effort 8.5"}, {"name": "set 4", "unit": "", "value": "1 reps at effort 8"}, {"name": "foot of the range", "unit": "reps", "value": 6}, {"name": "sessions running with a set under it", "unit": "of 2", "value": 2}, {"name": "predicted to failure on the easier rung", "unit": "", "value": "10 reps (8–11)"}]	{range.missed-twice}	medium	One of two signs spoke.	take	2026-01-21 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		88cf249d-529a-4365-b492-c3565f15a459
3.1	4	{"gate": {"sets": 4, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["05a39463-7db8-4a15-a4f9-ad9e4a84398d", "5ea62cb3-26b6-467b-8749-061f49863c44", "e740074d-f0b0-4c09-a35d-d87a70285899"]}	2026-01-23 09:25:00+00	Europe/Lisbon	2026-01-23	1090f9cb-971d-46f6-9d09-4fd9ecb3dd6a	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	e740074d-f0b0-4c09-a35d-d87a70285899	hold	88cf249d-529a-4365-b492-c3565f15a459	88cf249d-529a-4365-b492-c3565f15a459	0 of 4 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "8 reps at effort 8.5"}, {"name": "set 2", "unit": "", "value": "6 reps at effort 8"}, {"name": "set 3", "unit": "", "value": "5 reps at effort 8.5"}, {"name": "set 4", "unit": "", "value": "3 reps at effort 8"}, {"name": "gate", "unit": "", "value": "4 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-23 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		88cf249d-529a-4365-b492-c3565f15a459
3.1	4	{"gate": {"sets": 4, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["05a39463-7db8-4a15-a4f9-ad9e4a84398d", "5ea62cb3-26b6-467b-8749-061f49863c44", "e740074d-f0b0-4c09-a35d-d87a70285899", "20585462-f198-4ee0-855e-e1ae7b50712f"]}	2026-01-26 09:25:00+00	Europe/Lisbon	2026-01-26	c5dac321-2ee5-4d6e-ac01-1b81ebeb6995	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	20585462-f198-4ee0-855e-e1ae7b50712f	step-back	88cf249d-529a-4365-b492-c3565f15a459	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	A set fell under 6 reps on two sessions running. Step back to “Feet on riser 20”, where 11 reps (10–13) are likely.	[{"name": "set 1", "unit": "", "value": "9 reps at effort 9"}, {"name": "set 2", "unit": "", "value": "7 reps at effort 8.5"}, {"name": "set 3", "unit": "", "value": "6 reps at effort 9"}, {"name": "set 4", "unit": "", "value": "4 reps at effort 8.5"}, {"name": "foot of the range", "unit": "reps", "value": 6}, {"name": "sessions running with a set under it", "unit": "of 2", "value": 2}, {"name": "predicted to failure on the easier rung", "unit": "", "value": "11 reps (10–13)"}]	{range.missed-twice}	medium	One of two signs spoke.	take	2026-01-26 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		de2872c9-54b3-48b4-ab9d-3cd6b9c77b26
3.1	4	{"gate": {"sets": 4, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["05a39463-7db8-4a15-a4f9-ad9e4a84398d", "5ea62cb3-26b6-467b-8749-061f49863c44", "e740074d-f0b0-4c09-a35d-d87a70285899", "20585462-f198-4ee0-855e-e1ae7b50712f", "d58f79ef-f7e2-43bf-8185-2559df4bde2f"]}	2026-01-28 09:25:00+00	Europe/Lisbon	2026-01-28	9afff32f-5f23-4d15-b86b-387fe484b483	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	d58f79ef-f7e2-43bf-8185-2559df4bde2f	hold	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	1 of 4 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "10 reps at effort 9"}, {"name": "set 2", "unit": "", "value": "8 reps at effort 8.5"}, {"name": "set 3", "unit": "", "value": "7 reps at effort 9"}, {"name": "set 4", "unit": "", "value": "5 reps at effort 8.5"}, {"name": "gate", "unit": "", "value": "4 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	take	2026-01-28 11:00:00+00	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4		de2872c9-54b3-48b4-ab9d-3cd6b9c77b26
3.1	4	{"gate": {"sets": 4, "unit": "reps", "amount": 10, "effort": 9.0, "sessions": 2}, "school": "range", "purpose": "strength", "sessions": ["05a39463-7db8-4a15-a4f9-ad9e4a84398d", "5ea62cb3-26b6-467b-8749-061f49863c44", "e740074d-f0b0-4c09-a35d-d87a70285899", "20585462-f198-4ee0-855e-e1ae7b50712f", "d58f79ef-f7e2-43bf-8185-2559df4bde2f", "e4e0d844-2578-4141-8511-1e224e26d91f"]}	2026-01-30 09:25:00+00	Europe/Lisbon	2026-01-30	f9d93ac8-8516-4489-a984-86ef0e5ab7b8	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	e4e0d844-2578-4141-8511-1e224e26d91f	hold	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	1 of 4 sets met 10 reps at effort 9 or under. Stay, and add a rep where a set allows it.	[{"name": "set 1", "unit": "", "value": "10 reps at effort 8"}, {"name": "set 2", "unit": "", "value": "9 reps at effort 8.5"}, {"name": "set 3", "unit": "", "value": "8 reps at effort 9"}, {"name": "set 4", "unit": "", "value": "6 reps at effort 8.5"}, {"name": "gate", "unit": "", "value": "4 × 10 reps at effort 9 or under"}, {"name": "sessions running that met it", "unit": "of 2", "value": 0}]	{range.building}	high	The gate is a plain count.	\N	\N	\N		\N
\.


--
-- Data for Name: habit; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.habit (id, movement, changes, athlete_id, moment, at, zone, amount, unit, begun_on, ended_on, ended_why) FROM stdin;
be70d734-7575-45ac-aac4-52225de7bf88	counter-push-up	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.9]]}	c960d61a-6a28-40ed-a3c7-559def367133	while the kettle boils	07:15	Europe/Lisbon	1	reps	2026-01-24	\N	
\.


--
-- Data for Name: habit_tick; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.habit_tick (id, at, zone, local_date, habit_id, amount, trial) FROM stdin;
fd03f9ee-4177-434f-84c0-81b8f8697cec	2026-01-24 09:00:00+00	Europe/Lisbon	2026-01-24	be70d734-7575-45ac-aac4-52225de7bf88	1	t
ba4eb09e-7291-419b-b1e3-d6438790e90e	2026-01-24 09:00:00+00	Europe/Lisbon	2026-01-24	be70d734-7575-45ac-aac4-52225de7bf88	1	t
d1d082cd-9f7d-400c-99aa-e650da3af580	2026-01-24 09:00:00+00	Europe/Lisbon	2026-01-24	be70d734-7575-45ac-aac4-52225de7bf88	1	t
98631ef3-23f5-4f25-a941-18e04f1561b9	2026-01-24 09:00:00+00	Europe/Lisbon	2026-01-24	be70d734-7575-45ac-aac4-52225de7bf88	1	f
a06312bf-2c2c-4055-8e61-17824f3947eb	2026-01-25 09:00:00+00	Europe/Lisbon	2026-01-25	be70d734-7575-45ac-aac4-52225de7bf88	1	f
d54113cf-cf0e-495b-a71f-da3126c4a854	2026-01-26 09:00:00+00	Europe/Lisbon	2026-01-26	be70d734-7575-45ac-aac4-52225de7bf88	1	f
6883059f-e8cb-42a8-9585-17729cda145b	2026-01-27 09:00:00+00	Europe/Lisbon	2026-01-27	be70d734-7575-45ac-aac4-52225de7bf88	1	f
83d90b3b-f926-4d29-b306-edfab0c9cb8a	2026-01-29 09:00:00+00	Europe/Lisbon	2026-01-29	be70d734-7575-45ac-aac4-52225de7bf88	1	f
346c3786-dca8-41a4-b8f6-775f405c2bee	2026-01-30 09:00:00+00	Europe/Lisbon	2026-01-30	be70d734-7575-45ac-aac4-52225de7bf88	1	f
16daa1bd-bd19-48ae-93e5-1294e4c6bef9	2026-01-31 09:00:00+00	Europe/Lisbon	2026-01-31	be70d734-7575-45ac-aac4-52225de7bf88	1	f
fc94b9f1-91a8-45ca-8d8e-b2218ba7c73a	2026-02-01 09:00:00+00	Europe/Lisbon	2026-02-01	be70d734-7575-45ac-aac4-52225de7bf88	1	f
\.


--
-- Data for Name: kit_item; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.kit_item (id, place_id, kind, name, height_m, kg, count, setup_minutes, home_made, band_id, photo, photo_type, approved_on, checked_on, safe, checked_by) FROM stdin;
f609de92-9d93-42d5-ba8e-5f8351116684	59c59680-1837-4561-b0a8-1ee42759968e	surface	riser 20	0.2	\N	1	0	f	\N	\N		\N	2026-01-12	t	Ilse Marn
668328c2-f502-4684-88af-453795f92b0d	59c59680-1837-4561-b0a8-1ee42759968e	surface	riser 40	0.4	\N	1	1	f	\N	\N		\N	2026-01-12	t	Ilse Marn
5f9b4ab4-06c7-4e70-8e40-b798e78ff806	59c59680-1837-4561-b0a8-1ee42759968e	surface	riser 60	0.6	\N	1	1	f	\N	\N		\N	2026-01-12	t	Ilse Marn
32af388d-6dfd-4eac-b555-5689c8bfbc1f	59c59680-1837-4561-b0a8-1ee42759968e	wall	back wall	\N	\N	1	0	f	\N	\N		\N	2026-01-12	t	Ilse Marn
1baa5b41-9ba4-4859-90e7-f160a2351259	59c59680-1837-4561-b0a8-1ee42759968e	bar	lighting bar	1.05	\N	1	4	f	\N	\N		\N	2026-01-12	t	Ilse Marn
0d8385a9-18ae-4d71-9aac-398bd0924ec6	59c59680-1837-4561-b0a8-1ee42759968e	rings	wooden rings	2.1	\N	1	5	f	\N	\N		\N	2026-01-12	t	Ilse Marn
139f7650-baa9-478a-b401-d8b5533626a0	59c59680-1837-4561-b0a8-1ee42759968e	load	sandbag 2.5	\N	2.5	4	0	f	\N	\N		\N	2026-01-12	t	Ilse Marn
61afa33c-cf64-46b9-8f24-bf7bd1ca17a8	59c59680-1837-4561-b0a8-1ee42759968e	load	sandbag 5	\N	5	3	0	f	\N	\N		\N	2026-01-12	t	Ilse Marn
c680d16c-d67a-403d-808f-8ad1ea6df60b	59c59680-1837-4561-b0a8-1ee42759968e	load	sandbag 10	\N	10	2	0	f	\N	\N		\N	2026-01-12	t	Ilse Marn
ea0c716e-3b99-41c2-98fa-c4d163c38d99	59c59680-1837-4561-b0a8-1ee42759968e	band	middle	\N	\N	1	0	f	a5cda4b1-3ec9-4480-9f0b-367078be7d49	\N		\N	2026-01-12	t	Ilse Marn
52c7be69-c9ae-467e-ac67-4e00b1f441e6	ab152b58-5e08-4fe1-b6e4-46d9c1faec38	surface	tailgate	0.9	\N	1	0	f	\N	\N		\N	2026-01-12	t	Ilse Marn
8aaf6f66-65e3-4257-9585-7ca656b7f5e6	ab152b58-5e08-4fe1-b6e4-46d9c1faec38	surface	crate	0.45	\N	3	0	f	\N	\N		\N	2026-01-12	t	Ilse Marn
ad34469d-132c-4c2c-906a-9d7611e7c613	ab152b58-5e08-4fe1-b6e4-46d9c1faec38	parallel bars	scaffold ladder on crates	0.95	\N	1	0	t	\N	\N		\N	\N	\N	
2e623653-ef7e-4f93-bf73-813e46ab04e0	ab152b58-5e08-4fe1-b6e4-46d9c1faec38	band	narrow	\N	\N	1	0	f	29e5334c-a83c-4349-b953-6a6c6e8c1468	\N		\N	2026-01-12	t	Ilse Marn
3135d274-3d21-45ed-af5a-3fca89690816	ab152b58-5e08-4fe1-b6e4-46d9c1faec38	bag	prop bag	\N	15	1	0	f	\N	\N		\N	2026-01-12	t	Ilse Marn
\.


--
-- Data for Name: ladder; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.ladder (id, athlete_id, goal, family, school, purpose, level, standing_id, stopped, created_at, least_reps, least_seconds, step, levers, drawn) FROM stdin;
4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	c960d61a-6a28-40ed-a3c7-559def367133	Push-up with feet raised and a sandbag	horizontal push	range	strength	beginner	9b8f894e-726b-4fcc-8ccc-e0a719ac840d		2026-01-19 09:00:00+00	5	5	0.1	{tempo,lever,range,load}	0
5d8bad91-eee2-4ef1-aad4-057287a1ab9f	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	Level row with a bag	horizontal pull	range	strength	beginner	5c15580e-caad-4ae3-af67-7dd14abef447		2026-01-19 09:00:00+00	5	5	0.1	{tempo,lever,range,load}	0
f3731dd1-3ec4-4d28-889d-bec6c1955933	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	Push-up with feet raised and a sandbag	horizontal push	range	size	intermediate	b6347abd-7876-4f19-89e8-aead25c32be0		2026-01-18 09:00:00+00	5	5	0.1	{tempo,lever,range,load}	0
3f859e0a-8c29-4f65-9a9a-0afdc46bd909	3ee74815-0935-4ab4-b392-c92ff14fa517	Push-up with feet raised and a sandbag	horizontal push	range	strength	advanced	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26		2026-01-17 09:00:00+00	5	5	0.1	{tempo,lever,range,load}	0
2479a62a-1333-473a-a4b2-150132f809e5	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	L-sit	compression	wave	skill	intermediate	c1725480-b70b-47b4-ae49-63c539ed91b4		2026-01-19 09:00:00+00	5	5	0.1	{tempo,lever,range,load}	1
\.


--
-- Data for Name: logged_set; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.logged_set (at, zone, local_date, id, session_id, rung_id, number, amount, effort, clean, pain, pain_place, corrects, server_at) FROM stdin;
2026-01-21 09:02:40+00	Europe/Lisbon	2026-01-21	ef19b3e9-4f07-4dce-b079-d13efb9cb58f	84a6fd75-53d9-499a-a50f-c375d89321c9	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	1	8	8.5	t	0		\N	2026-01-21 09:02:40+00
2026-01-21 09:05:20+00	Europe/Lisbon	2026-01-21	d7182843-467a-44a9-87c0-5b6f566232f9	84a6fd75-53d9-499a-a50f-c375d89321c9	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2	7	8.5	t	0		\N	2026-01-21 09:05:20+00
2026-01-23 09:02:40+00	Europe/Lisbon	2026-01-23	fd96e2f6-e20d-4098-8586-94a570826f0c	d7e83f0e-a4c7-4371-86f9-cce40481a728	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	1	8	8.5	t	0		\N	2026-01-23 09:02:40+00
2026-01-23 09:05:20+00	Europe/Lisbon	2026-01-23	01b10123-1d68-4b6e-84ce-774d619498f6	d7e83f0e-a4c7-4371-86f9-cce40481a728	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2	7	8.5	t	0		\N	2026-01-23 09:05:20+00
2026-01-25 09:02:40+00	Europe/Lisbon	2026-01-25	1875693f-0cf7-49e3-b858-8f0f5c811b7c	cf09c829-151e-4cf7-be7d-0088cf77f77d	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	1	8	8.5	t	0		\N	2026-01-25 09:02:40+00
2026-01-25 09:05:20+00	Europe/Lisbon	2026-01-25	7be25bd6-ff50-43e7-87fe-def8dc734266	cf09c829-151e-4cf7-be7d-0088cf77f77d	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2	7	8.5	t	0		\N	2026-01-25 09:05:20+00
2026-01-28 09:02:40+00	Europe/Lisbon	2026-01-28	d8d8ce83-265a-45d2-afc6-31a3153ceae8	66527e94-88fd-4c44-9c37-394796c34c9c	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	1	9	9	t	0		\N	2026-01-28 09:02:40+00
2026-01-28 09:05:20+00	Europe/Lisbon	2026-01-28	5708e243-a733-4411-b02a-9a50aa64b261	66527e94-88fd-4c44-9c37-394796c34c9c	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2	8	9	t	0		\N	2026-01-28 09:05:20+00
2026-01-30 09:02:40+00	Europe/Lisbon	2026-01-30	c74e90b1-63f1-4ea8-b5cf-4ccacf03cbbf	c47b3f4f-bd12-4cef-94a8-d7d7d15049da	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	1	9	9	t	0		\N	2026-01-30 09:02:40+00
2026-01-30 09:05:20+00	Europe/Lisbon	2026-01-30	5f199f9b-a1ed-4575-b1b6-b9a0a2ab884e	c47b3f4f-bd12-4cef-94a8-d7d7d15049da	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2	8	9	t	0		\N	2026-01-30 09:05:20+00
2026-02-01 09:02:40+00	Europe/Lisbon	2026-02-01	46d5bd5c-d551-4542-9efd-3692f8ae46e1	1b668bf9-a3f2-4402-9577-e528239aff73	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	1	9	8.5	t	0		\N	2026-02-01 09:02:40+00
2026-02-01 09:05:20+00	Europe/Lisbon	2026-02-01	ce0669f5-710a-4af6-b5d7-0f5ef3045aad	1b668bf9-a3f2-4402-9577-e528239aff73	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2	8	8.5	t	0		\N	2026-02-01 09:05:20+00
2026-01-20 09:01:55+00	Europe/Lisbon	2026-01-20	765243d1-7fc1-433a-a1a2-4fb5fbf5ea44	beaecd96-ef48-4c35-a509-6f6945cca327	f810615b-c31e-40d9-8cf0-3e61bee558e7	1	8	9	t	0		\N	2026-01-20 09:01:55+00
2026-01-20 09:03:50+00	Europe/Lisbon	2026-01-20	bd241bb6-05cf-4ac5-95de-a175935f1dd9	beaecd96-ef48-4c35-a509-6f6945cca327	f810615b-c31e-40d9-8cf0-3e61bee558e7	2	7	9	t	0		\N	2026-01-20 09:03:50+00
2026-01-20 09:05:45+00	Europe/Lisbon	2026-01-20	9b9c82ca-eee5-4820-b2d8-0d5be2dac54a	beaecd96-ef48-4c35-a509-6f6945cca327	f810615b-c31e-40d9-8cf0-3e61bee558e7	3	5	8	t	0		\N	2026-01-20 09:05:45+00
2026-01-22 09:01:55+00	Europe/Lisbon	2026-01-22	3e5b5613-a938-4362-ab33-e7f482e85b29	5e20306b-0791-4bb4-b3d1-ee19ece6be0a	f810615b-c31e-40d9-8cf0-3e61bee558e7	1	8	8	t	0		\N	2026-01-22 09:01:55+00
2026-01-22 09:03:50+00	Europe/Lisbon	2026-01-22	bbdf2984-062e-4622-b80b-2f0a6345e0eb	5e20306b-0791-4bb4-b3d1-ee19ece6be0a	f810615b-c31e-40d9-8cf0-3e61bee558e7	2	7	8.5	t	0		\N	2026-01-22 09:03:50+00
2026-01-22 09:05:45+00	Europe/Lisbon	2026-01-22	4878ca0b-dbe5-460c-916e-d25dcc6bb7ee	5e20306b-0791-4bb4-b3d1-ee19ece6be0a	f810615b-c31e-40d9-8cf0-3e61bee558e7	3	6	8.5	t	0		\N	2026-01-22 09:05:45+00
2026-01-24 09:01:55+00	Europe/Lisbon	2026-01-24	6f095cea-8c92-4052-9fd6-c7c669fd60cc	257c396a-eda4-4c10-a4be-143599db277b	b6347abd-7876-4f19-89e8-aead25c32be0	1	11	8	t	0		\N	2026-01-24 09:01:55+00
2026-01-24 09:03:50+00	Europe/Lisbon	2026-01-24	c426c527-7ced-43a6-8200-e4c1b926c049	257c396a-eda4-4c10-a4be-143599db277b	b6347abd-7876-4f19-89e8-aead25c32be0	2	10	8	t	0		\N	2026-01-24 09:03:50+00
2026-01-24 09:05:45+00	Europe/Lisbon	2026-01-24	02cbc7cb-f783-4cf7-b81b-cde0ccaed09c	257c396a-eda4-4c10-a4be-143599db277b	b6347abd-7876-4f19-89e8-aead25c32be0	3	9	8.5	t	0		\N	2026-01-24 09:05:45+00
2026-01-27 09:01:55+00	Europe/Lisbon	2026-01-27	fdce2354-a15d-463e-bdcb-ee768f52511c	b2142e91-c913-49e5-a8d6-f738b157ee19	b6347abd-7876-4f19-89e8-aead25c32be0	1	12	9	t	0		\N	2026-01-27 09:01:55+00
2026-01-27 09:03:50+00	Europe/Lisbon	2026-01-27	b7c4c496-fbdd-450e-bd03-1ddc28e72cd3	b2142e91-c913-49e5-a8d6-f738b157ee19	b6347abd-7876-4f19-89e8-aead25c32be0	2	10	8	t	0		\N	2026-01-27 09:03:50+00
2026-01-27 09:05:45+00	Europe/Lisbon	2026-01-27	42e3861a-3df3-42bf-80e5-2af67b713b78	b2142e91-c913-49e5-a8d6-f738b157ee19	b6347abd-7876-4f19-89e8-aead25c32be0	3	9	8	t	0		\N	2026-01-27 09:05:45+00
2026-01-29 09:01:55+00	Europe/Lisbon	2026-01-29	6696bcaa-c537-43a3-886e-6fcb28282c91	381f7aea-78f3-4ca4-b4ca-cd70f8efe152	b6347abd-7876-4f19-89e8-aead25c32be0	1	12	9	t	0		\N	2026-01-29 09:01:55+00
2026-01-29 09:03:50+00	Europe/Lisbon	2026-01-29	e631b0be-85fb-45b8-90f1-74e72e236d25	381f7aea-78f3-4ca4-b4ca-cd70f8efe152	b6347abd-7876-4f19-89e8-aead25c32be0	2	11	9	t	0		\N	2026-01-29 09:03:50+00
2026-01-29 09:05:45+00	Europe/Lisbon	2026-01-29	cc9e95f9-f8e3-4757-84e6-095048100ca7	381f7aea-78f3-4ca4-b4ca-cd70f8efe152	b6347abd-7876-4f19-89e8-aead25c32be0	3	9	8	t	0		\N	2026-01-29 09:05:45+00
2026-01-31 09:01:55+00	Europe/Lisbon	2026-01-31	0e47a79f-a5cc-4961-9bfb-56fb0a31289d	80ba6dfd-300b-42f2-b008-6d500b94f1f8	b6347abd-7876-4f19-89e8-aead25c32be0	1	12	9	t	0		\N	2026-01-31 09:01:55+00
2026-01-31 09:03:50+00	Europe/Lisbon	2026-01-31	3e316e08-e3b8-4311-825a-867bf22f523d	80ba6dfd-300b-42f2-b008-6d500b94f1f8	b6347abd-7876-4f19-89e8-aead25c32be0	2	11	9	t	0		\N	2026-01-31 09:03:50+00
2026-01-31 09:05:45+00	Europe/Lisbon	2026-01-31	3000d622-cc0f-485c-a52d-83345632df9f	80ba6dfd-300b-42f2-b008-6d500b94f1f8	b6347abd-7876-4f19-89e8-aead25c32be0	3	9	8	t	0		\N	2026-01-31 09:05:45+00
2026-01-19 09:02:40+00	Europe/Lisbon	2026-01-19	9089bcfe-b34c-4b5c-8aa5-924bf57c00cf	05a39463-7db8-4a15-a4f9-ad9e4a84398d	62c0ea9f-8907-441d-8cb6-88c11d013258	1	5	8.5	t	0		\N	2026-01-19 09:02:40+00
2026-01-19 09:05:20+00	Europe/Lisbon	2026-01-19	ed723c87-c3c9-4be5-97f3-db203a7ecee6	05a39463-7db8-4a15-a4f9-ad9e4a84398d	62c0ea9f-8907-441d-8cb6-88c11d013258	2	3	8	t	0		\N	2026-01-19 09:05:20+00
2026-01-19 09:08:00+00	Europe/Lisbon	2026-01-19	fc39d9b2-179c-4b48-a6d9-b7bebe013ebb	05a39463-7db8-4a15-a4f9-ad9e4a84398d	62c0ea9f-8907-441d-8cb6-88c11d013258	3	2	8.5	t	0		\N	2026-01-19 09:08:00+00
2026-01-19 09:10:40+00	Europe/Lisbon	2026-01-19	60591039-4e8c-4029-9f44-3a5bfbdab93e	05a39463-7db8-4a15-a4f9-ad9e4a84398d	62c0ea9f-8907-441d-8cb6-88c11d013258	4	1	9	t	0		\N	2026-01-19 09:10:40+00
2026-01-21 09:02:40+00	Europe/Lisbon	2026-01-21	2e1fafab-6ba1-4444-94fb-7962e346f2f1	5ea62cb3-26b6-467b-8749-061f49863c44	62c0ea9f-8907-441d-8cb6-88c11d013258	1	6	8.5	t	0		\N	2026-01-21 09:02:40+00
2026-01-21 09:05:20+00	Europe/Lisbon	2026-01-21	d0a1f9cc-9a19-4447-925c-ca4eb66f3d77	5ea62cb3-26b6-467b-8749-061f49863c44	62c0ea9f-8907-441d-8cb6-88c11d013258	2	4	8	t	0		\N	2026-01-21 09:05:20+00
2026-01-21 09:08:00+00	Europe/Lisbon	2026-01-21	f9386d5e-718b-44b1-a810-2c44bfaff1f9	5ea62cb3-26b6-467b-8749-061f49863c44	62c0ea9f-8907-441d-8cb6-88c11d013258	3	3	8.5	t	0		\N	2026-01-21 09:08:00+00
2026-01-21 09:10:40+00	Europe/Lisbon	2026-01-21	62903e9f-0c6d-456f-ac7b-25ecda035b0c	5ea62cb3-26b6-467b-8749-061f49863c44	62c0ea9f-8907-441d-8cb6-88c11d013258	4	1	8	t	0		\N	2026-01-21 09:10:40+00
2026-01-23 09:02:40+00	Europe/Lisbon	2026-01-23	18b6ccb0-4820-43e7-842e-1209472d6066	e740074d-f0b0-4c09-a35d-d87a70285899	88cf249d-529a-4365-b492-c3565f15a459	1	8	8.5	t	0		\N	2026-01-23 09:02:40+00
2026-01-23 09:05:20+00	Europe/Lisbon	2026-01-23	3c821fed-d336-4d65-b545-7f175f5e5a83	e740074d-f0b0-4c09-a35d-d87a70285899	88cf249d-529a-4365-b492-c3565f15a459	2	6	8	t	0		\N	2026-01-23 09:05:20+00
2026-01-23 09:08:00+00	Europe/Lisbon	2026-01-23	ab5c0233-0589-41f2-aa7a-7c3e65de32f1	e740074d-f0b0-4c09-a35d-d87a70285899	88cf249d-529a-4365-b492-c3565f15a459	3	5	8.5	t	0		\N	2026-01-23 09:08:00+00
2026-01-23 09:10:40+00	Europe/Lisbon	2026-01-23	f582b61d-d412-4962-9631-17cf8af9b64f	e740074d-f0b0-4c09-a35d-d87a70285899	88cf249d-529a-4365-b492-c3565f15a459	4	3	8	t	0		\N	2026-01-23 09:10:40+00
2026-01-26 09:02:40+00	Europe/Lisbon	2026-01-26	785da6d3-66d5-4363-aabf-4be4a346dc6f	20585462-f198-4ee0-855e-e1ae7b50712f	88cf249d-529a-4365-b492-c3565f15a459	1	9	9	t	0		\N	2026-01-26 09:02:40+00
2026-01-26 09:05:20+00	Europe/Lisbon	2026-01-26	7a278b18-1643-4c18-a155-b410c61a34df	20585462-f198-4ee0-855e-e1ae7b50712f	88cf249d-529a-4365-b492-c3565f15a459	2	7	8.5	t	0		\N	2026-01-26 09:05:20+00
2026-01-26 09:08:00+00	Europe/Lisbon	2026-01-26	cb227b3e-a845-446f-b18c-4ffa09c853d5	20585462-f198-4ee0-855e-e1ae7b50712f	88cf249d-529a-4365-b492-c3565f15a459	3	6	9	t	0		\N	2026-01-26 09:08:00+00
2026-01-26 09:10:40+00	Europe/Lisbon	2026-01-26	a65f89fd-d048-4264-bff9-a122a3f06195	20585462-f198-4ee0-855e-e1ae7b50712f	88cf249d-529a-4365-b492-c3565f15a459	4	4	8.5	t	0		\N	2026-01-26 09:10:40+00
2026-01-28 09:02:40+00	Europe/Lisbon	2026-01-28	0a6ba7f6-43d1-446a-a37c-5a9524fb4202	d58f79ef-f7e2-43bf-8185-2559df4bde2f	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	1	10	9	t	0		\N	2026-01-28 09:02:40+00
2026-01-28 09:05:20+00	Europe/Lisbon	2026-01-28	601b9e71-d3cd-4e8f-82d3-948334033b4a	d58f79ef-f7e2-43bf-8185-2559df4bde2f	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	2	8	8.5	t	0		\N	2026-01-28 09:05:20+00
2026-01-28 09:08:00+00	Europe/Lisbon	2026-01-28	2cd06a5a-e24d-4c21-b10b-20ff04a01d29	d58f79ef-f7e2-43bf-8185-2559df4bde2f	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	3	7	9	t	0		\N	2026-01-28 09:08:00+00
2026-01-28 09:10:40+00	Europe/Lisbon	2026-01-28	140a454d-0980-4344-a0c1-026427aebd31	d58f79ef-f7e2-43bf-8185-2559df4bde2f	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	4	5	8.5	t	0		\N	2026-01-28 09:10:40+00
2026-01-30 09:02:40+00	Europe/Lisbon	2026-01-30	d4148656-54f4-4110-8d83-2bda34fbbe8a	e4e0d844-2578-4141-8511-1e224e26d91f	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	1	10	8	t	0		\N	2026-01-30 09:02:40+00
2026-01-30 09:05:20+00	Europe/Lisbon	2026-01-30	8bf55879-3694-4e95-a471-59ea33bcb714	e4e0d844-2578-4141-8511-1e224e26d91f	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	2	9	8.5	t	0		\N	2026-01-30 09:05:20+00
2026-01-30 09:08:00+00	Europe/Lisbon	2026-01-30	15bdefad-9aa2-408b-b2c9-4d3058406aa5	e4e0d844-2578-4141-8511-1e224e26d91f	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	3	8	9	t	0		\N	2026-01-30 09:08:00+00
2026-01-30 09:10:40+00	Europe/Lisbon	2026-01-30	4001d0cc-dff5-43a3-b1fa-138b928b967b	e4e0d844-2578-4141-8511-1e224e26d91f	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	4	6	8.5	t	3	left wrist	\N	2026-01-30 09:10:40+00
\.


--
-- Data for Name: measure; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.measure (at, zone, local_date, id, athlete_id, mass_kg, stature_m, lengths) FROM stdin;
2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	b3dbe8e6-049a-4a47-a28e-aaec42da516b	c960d61a-6a28-40ed-a3c7-559def367133	58	1.66	{}
2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	e54de676-a277-4e20-9807-fc469d6595d2	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	71	1.75	{}
2026-01-17 09:00:00+00	Europe/Lisbon	2026-01-17	9e42bfec-79f4-4d39-ba0f-9a9ef1f53b54	3ee74815-0935-4ab4-b392-c92ff14fa517	96	1.88	{}
\.


--
-- Data for Name: own_session; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.own_session (id, account_id, name, document, created_at) FROM stdin;
\.


--
-- Data for Name: person; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.person (athlete_id, told, updated_at) FROM stdin;
c960d61a-6a28-40ed-a3c7-559def367133	{"aim": "gain", "sex": "female", "days": 3, "goals": ["push-up", "strong-trunk"], "units": "metric", "places": ["59c59680-1837-4561-b0a8-1ee42759968e"], "minutes": 25, "schools": ["range"], "dislikes": [], "training_years": 0.2}	2026-01-20 09:00:00+00
fa48a7d6-c790-44e1-9ae5-de14d4a858c7	{"aim": "gain", "sex": "female", "days": 3, "goals": ["l-sit", "row", "one-leg-squat", "push-up"], "units": "metric", "places": ["59c59680-1837-4561-b0a8-1ee42759968e", "ab152b58-5e08-4fe1-b6e4-46d9c1faec38"], "minutes": 40, "schools": ["range"], "dislikes": [], "training_years": 2.0}	2026-01-19 09:00:00+00
3ee74815-0935-4ab4-b392-c92ff14fa517	{"aim": "gain", "sex": "male", "days": 2, "goals": ["strong-push", "dip"], "units": "metric", "places": ["ab152b58-5e08-4fe1-b6e4-46d9c1faec38"], "minutes": 30, "schools": ["range"], "dislikes": [], "training_years": 9.0}	2026-01-18 09:00:00+00
\.


--
-- Data for Name: place; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.place (id, account_id, name, floor, created_at) FROM stdin;
59c59680-1837-4561-b0a8-1ee42759968e	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4	Stage	smooth	2026-01-12 09:00:00+00
ab152b58-5e08-4fe1-b6e4-46d9c1faec38	915c2f7c-debf-42e9-be8f-c9b3dd9a5cf4	Second truck	gripping	2026-01-12 09:00:00+00
\.


--
-- Data for Name: placement; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.placement (model_version, catalogue_version, inputs, at, zone, local_date, id, ladder_id, rung_id, result) FROM stdin;
3.1	4	{"mass_kg": 58.0, "standing": "9b8f894e-726b-4fcc-8ccc-e0a719ac840d", "stature_m": 1.66, "ladder given": "tour-push-up"}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	e61cba74-d4ac-4348-889c-46cb8feab033	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	{"reach": {"low": 22.082758027046168, "high": 24.765879765457655, "unit": "kg", "likely": 23.415302396070324, "derivation": {"note": "", "inputs": [{"name": "one-rep load", "unit": "kg", "value": 28.575050801315292}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 26.174479172881725, "high": 31.17283489261843, "unit": "kg", "likely": 28.575050801315292, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 22.21453624870186}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 9.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 9.0}, {"name": "Epley 1985", "unit": "kg", "value": 28.87889712331242}, {"name": "Brzycki 1993", "unit": "kg", "value": 28.561546605473826}, {"name": "Lander 1985", "unit": "kg", "value": 28.753357377201397}, {"name": "Lombardi 1989", "unit": "kg", "value": 27.67333511421834}, {"name": "Mayhew 1992", "unit": "kg", "value": 28.575050801315292}, {"name": "O'Conner 1989", "unit": "kg", "value": 27.212806904659782}, {"name": "Wathan 1994", "unit": "kg", "value": 29.155760205520128}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 27.212806904659782, "spread_high": 29.155760205520128}, "narrower": "A second test on another day, on “Knee push-up”, would narrow it most.", "predictions": {"0feb2343-e9d9-4863-9bf9-56d8cb15435b": [31.0, 31.0, 31.0], "13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791": [0.0, 0.0, 0.0], "52bae8cd-a27c-4ca9-919d-0d3a076ff337": [16.61464230496879, 20.12465667685237, 27.478030713447463], "5b225289-6da4-46d9-9721-6b9e7e9e5e7a": [0.0, 0.0, 0.0], "82aedb2b-cacb-4327-a024-8327c2cb7b2a": [0.0, 0.0, 0.0], "9b8f894e-726b-4fcc-8ccc-e0a719ac840d": [7.999999999999999, 9.000000000000002, 10.0], "d8145983-10fc-418a-b5ef-4f52179d9df9": [0.0, 1.951522465575835, 4.070465000890992], "d8d52851-3aa5-4f89-859a-b69009da14e1": [0.0, 0.0, 0.0], "f0fbbd7a-68aa-47c8-9696-f4516640b88c": [0.0, 0.0, 0.0], "faa990b3-5277-4ee6-b98b-bbc9bcb78d83": [0.0, 1.5297941723168744, 2.62847037469765], "fb9f8245-64dd-47f3-a82f-8218175f9282": [0.0, 0.0, 0.0], "fc3d4a58-f6d0-487f-aefe-23b5ef1907b8": [0.0, 0.0, 0.0]}}
3.1	4	{"mass_kg": 58.0, "session": "84a6fd75-53d9-499a-a50f-c375d89321c9", "standing": "9b8f894e-726b-4fcc-8ccc-e0a719ac840d", "stature_m": 1.66}	2026-01-21 09:25:00+00	Europe/Lisbon	2026-01-21	737b284d-1019-4280-b5fd-f50975aa0593	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	{"reach": {"low": 22.250720235526977, "high": 24.89897433826804, "unit": "kg", "likely": 23.565322814511227, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-19", "unit": "kg", "value": 23.415302396070324}, {"name": "from the set of 2026-01-21", "unit": "kg", "value": 23.71534323295213}, {"name": "one-rep load", "unit": "kg", "value": 29.080847452846072}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 2 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 26.394357493188963, "high": 31.417547704850833, "unit": "kg", "likely": 28.827949127080682, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-19", "unit": "kg", "value": 28.575050801315292}, {"name": "from the set of 2026-01-21", "unit": "kg", "value": 29.080847452846072}, {"name": "load", "unit": "kg", "value": 22.21453624870186}, {"name": "reps", "unit": "reps", "value": 8.0}, {"name": "effort", "unit": "of 10", "value": 8.5}, {"name": "reps to failure", "unit": "reps", "value": 9.5}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 9.5}, {"name": "Epley 1985", "unit": "kg", "value": 29.249139394124118}, {"name": "Brzycki 1993", "unit": "kg", "value": 29.080847452846072}, {"name": "Lander 1985", "unit": "kg", "value": 29.259175852242304}, {"name": "Lombardi 1989", "unit": "kg", "value": 27.823362359849092}, {"name": "Mayhew 1992", "unit": "kg", "value": 28.83199423654417}, {"name": "O'Conner 1989", "unit": "kg", "value": 27.490488607768555}, {"name": "Wathan 1994", "unit": "kg", "value": 29.54673048274349}], "formula": "The middle of 2 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 27.490488607768555, "spread_high": 29.54673048274349}, "narrower": "The estimate rests on a rated effort: test “Push-up on riser 60” to the end.", "predictions": {"0feb2343-e9d9-4863-9bf9-56d8cb15435b": [31.0, 31.0, 31.0], "13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791": [0.0, 0.0, 0.0], "52bae8cd-a27c-4ca9-919d-0d3a076ff337": [16.77099227058297, 21.133073833856407, 27.789564685894575], "5b225289-6da4-46d9-9721-6b9e7e9e5e7a": [0.0, 0.0, 0.0], "82aedb2b-cacb-4327-a024-8327c2cb7b2a": [0.0, 0.0, 0.0], "9b8f894e-726b-4fcc-8ccc-e0a719ac840d": [8.396446609406727, 9.25, 10.103553390593273], "d8145983-10fc-418a-b5ef-4f52179d9df9": [0.0, 2.1317903966403664, 4.2662034878019846], "d8d52851-3aa5-4f89-859a-b69009da14e1": [0.0, 0.0, 0.0], "f0fbbd7a-68aa-47c8-9696-f4516640b88c": [0.0, 0.0, 0.0], "faa990b3-5277-4ee6-b98b-bbc9bcb78d83": [0.0, 1.6293441349599311, 2.833345814413651], "fb9f8245-64dd-47f3-a82f-8218175f9282": [0.0, 0.0, 0.0], "fc3d4a58-f6d0-487f-aefe-23b5ef1907b8": [0.0, 0.0, 0.0]}}
3.1	4	{"mass_kg": 58.0, "session": "d7e83f0e-a4c7-4371-86f9-cce40481a728", "standing": "9b8f894e-726b-4fcc-8ccc-e0a719ac840d", "stature_m": 1.66}	2026-01-23 09:25:00+00	Europe/Lisbon	2026-01-23	beea7cd6-d1ef-4312-aff8-b4c02a798c26	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	{"reach": {"low": 22.393864165639197, "high": 25.056470936713367, "unit": "kg", "likely": 23.71534323295213, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-19", "unit": "kg", "value": 23.415302396070324}, {"name": "from the set of 2026-01-21", "unit": "kg", "value": 23.71534323295213}, {"name": "from the set of 2026-01-23", "unit": "kg", "value": 23.71534323295213}, {"name": "one-rep load", "unit": "kg", "value": 29.080847452846072}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 26.582381380535878, "high": 31.73017462266402, "unit": "kg", "likely": 29.080847452846072, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-19", "unit": "kg", "value": 28.575050801315292}, {"name": "from the set of 2026-01-21", "unit": "kg", "value": 29.080847452846072}, {"name": "from the set of 2026-01-23", "unit": "kg", "value": 29.080847452846072}, {"name": "load", "unit": "kg", "value": 22.21453624870186}, {"name": "reps", "unit": "reps", "value": 8.0}, {"name": "effort", "unit": "of 10", "value": 8.5}, {"name": "reps to failure", "unit": "reps", "value": 9.5}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 9.5}, {"name": "Epley 1985", "unit": "kg", "value": 29.249139394124118}, {"name": "Brzycki 1993", "unit": "kg", "value": 29.080847452846072}, {"name": "Lander 1985", "unit": "kg", "value": 29.259175852242304}, {"name": "Lombardi 1989", "unit": "kg", "value": 27.823362359849092}, {"name": "Mayhew 1992", "unit": "kg", "value": 28.83199423654417}, {"name": "O'Conner 1989", "unit": "kg", "value": 27.490488607768555}, {"name": "Wathan 1994", "unit": "kg", "value": 29.54673048274349}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 27.490488607768555, "spread_high": 29.54673048274349}, "narrower": "The estimate rests on a rated effort: test “Push-up on riser 60” to the end.", "predictions": {"0feb2343-e9d9-4863-9bf9-56d8cb15435b": [31.0, 31.0, 31.0], "13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791": [0.0, 0.0, 0.0], "52bae8cd-a27c-4ca9-919d-0d3a076ff337": [16.866675528450173, 22.14149099086044, 28.181858416966023], "5b225289-6da4-46d9-9721-6b9e7e9e5e7a": [0.0, 0.0, 0.0], "82aedb2b-cacb-4327-a024-8327c2cb7b2a": [0.0, 0.0, 0.0], "9b8f894e-726b-4fcc-8ccc-e0a719ac840d": [8.683503419072274, 9.5, 10.316496580927728], "d8145983-10fc-418a-b5ef-4f52179d9df9": [0.0, 2.312058327704898, 4.486020766470634], "d8d52851-3aa5-4f89-859a-b69009da14e1": [0.0, 0.0, 0.0], "f0fbbd7a-68aa-47c8-9696-f4516640b88c": [0.0, 0.0, 0.0], "faa990b3-5277-4ee6-b98b-bbc9bcb78d83": [0.0, 1.7288940976029878, 3.0248853538566776], "fb9f8245-64dd-47f3-a82f-8218175f9282": [0.0, 0.0, 0.0], "fc3d4a58-f6d0-487f-aefe-23b5ef1907b8": [0.0, 0.0, 0.0]}}
3.1	4	{"mass_kg": 58.0, "session": "cf09c829-151e-4cf7-be7d-0088cf77f77d", "standing": "9b8f894e-726b-4fcc-8ccc-e0a719ac840d", "stature_m": 1.66}	2026-01-25 09:25:00+00	Europe/Lisbon	2026-01-25	2dd58d1f-f157-491a-b4d0-3cabf82ff592	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	{"reach": {"low": 22.393864165639197, "high": 25.056470936713367, "unit": "kg", "likely": 23.71534323295213, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-21", "unit": "kg", "value": 23.71534323295213}, {"name": "from the set of 2026-01-23", "unit": "kg", "value": 23.71534323295213}, {"name": "from the set of 2026-01-25", "unit": "kg", "value": 23.71534323295213}, {"name": "one-rep load", "unit": "kg", "value": 29.080847452846072}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 26.582381380535878, "high": 31.73017462266402, "unit": "kg", "likely": 29.080847452846072, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-21", "unit": "kg", "value": 29.080847452846072}, {"name": "from the set of 2026-01-23", "unit": "kg", "value": 29.080847452846072}, {"name": "from the set of 2026-01-25", "unit": "kg", "value": 29.080847452846072}, {"name": "load", "unit": "kg", "value": 22.21453624870186}, {"name": "reps", "unit": "reps", "value": 8.0}, {"name": "effort", "unit": "of 10", "value": 8.5}, {"name": "reps to failure", "unit": "reps", "value": 9.5}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 9.5}, {"name": "Epley 1985", "unit": "kg", "value": 29.249139394124118}, {"name": "Brzycki 1993", "unit": "kg", "value": 29.080847452846072}, {"name": "Lander 1985", "unit": "kg", "value": 29.259175852242304}, {"name": "Lombardi 1989", "unit": "kg", "value": 27.823362359849092}, {"name": "Mayhew 1992", "unit": "kg", "value": 28.83199423654417}, {"name": "O'Conner 1989", "unit": "kg", "value": 27.490488607768555}, {"name": "Wathan 1994", "unit": "kg", "value": 29.54673048274349}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 27.490488607768555, "spread_high": 29.54673048274349}, "narrower": "The estimate rests on a rated effort: test “Push-up on riser 60” to the end.", "predictions": {"0feb2343-e9d9-4863-9bf9-56d8cb15435b": [31.0, 31.0, 31.0], "13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791": [0.0, 0.0, 0.0], "52bae8cd-a27c-4ca9-919d-0d3a076ff337": [16.866675528450173, 22.14149099086044, 28.181858416966023], "5b225289-6da4-46d9-9721-6b9e7e9e5e7a": [0.0, 0.0, 0.0], "82aedb2b-cacb-4327-a024-8327c2cb7b2a": [0.0, 0.0, 0.0], "9b8f894e-726b-4fcc-8ccc-e0a719ac840d": [8.683503419072274, 9.5, 10.316496580927728], "d8145983-10fc-418a-b5ef-4f52179d9df9": [0.0, 2.312058327704898, 4.486020766470634], "d8d52851-3aa5-4f89-859a-b69009da14e1": [0.0, 0.0, 0.0], "f0fbbd7a-68aa-47c8-9696-f4516640b88c": [0.0, 0.0, 0.0], "faa990b3-5277-4ee6-b98b-bbc9bcb78d83": [0.0, 1.7288940976029878, 3.0248853538566776], "fb9f8245-64dd-47f3-a82f-8218175f9282": [0.0, 0.0, 0.0], "fc3d4a58-f6d0-487f-aefe-23b5ef1907b8": [0.0, 0.0, 0.0]}}
3.1	4	{"mass_kg": 58.0, "session": "66527e94-88fd-4c44-9c37-394796c34c9c", "standing": "9b8f894e-726b-4fcc-8ccc-e0a719ac840d", "stature_m": 1.66}	2026-01-28 09:25:00+00	Europe/Lisbon	2026-01-28	3f3097db-2200-47a7-a564-93e17a7318dc	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	{"reach": {"low": 22.393864165639197, "high": 25.056470936713367, "unit": "kg", "likely": 23.71534323295213, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-23", "unit": "kg", "value": 23.71534323295213}, {"name": "from the set of 2026-01-25", "unit": "kg", "value": 23.71534323295213}, {"name": "from the set of 2026-01-28", "unit": "kg", "value": 24.01561212570164}, {"name": "one-rep load", "unit": "kg", "value": 29.080847452846072}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 26.582381380535878, "high": 31.73017462266402, "unit": "kg", "likely": 29.080847452846072, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-23", "unit": "kg", "value": 29.080847452846072}, {"name": "from the set of 2026-01-25", "unit": "kg", "value": 29.080847452846072}, {"name": "from the set of 2026-01-28", "unit": "kg", "value": 29.619381664935815}, {"name": "load", "unit": "kg", "value": 22.21453624870186}, {"name": "reps", "unit": "reps", "value": 8.0}, {"name": "effort", "unit": "of 10", "value": 8.5}, {"name": "reps to failure", "unit": "reps", "value": 9.5}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 9.5}, {"name": "Epley 1985", "unit": "kg", "value": 29.249139394124118}, {"name": "Brzycki 1993", "unit": "kg", "value": 29.080847452846072}, {"name": "Lander 1985", "unit": "kg", "value": 29.259175852242304}, {"name": "Lombardi 1989", "unit": "kg", "value": 27.823362359849092}, {"name": "Mayhew 1992", "unit": "kg", "value": 28.83199423654417}, {"name": "O'Conner 1989", "unit": "kg", "value": 27.490488607768555}, {"name": "Wathan 1994", "unit": "kg", "value": 29.54673048274349}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 27.490488607768555, "spread_high": 29.54673048274349}, "narrower": "The estimate rests on a rated effort: test “Push-up on riser 60” to the end.", "predictions": {"0feb2343-e9d9-4863-9bf9-56d8cb15435b": [31.0, 31.0, 31.0], "13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791": [0.0, 0.0, 0.0], "52bae8cd-a27c-4ca9-919d-0d3a076ff337": [16.866675528450173, 22.14149099086044, 28.181858416966023], "5b225289-6da4-46d9-9721-6b9e7e9e5e7a": [0.0, 0.0, 0.0], "82aedb2b-cacb-4327-a024-8327c2cb7b2a": [0.0, 0.0, 0.0], "9b8f894e-726b-4fcc-8ccc-e0a719ac840d": [8.683503419072274, 9.5, 10.316496580927728], "d8145983-10fc-418a-b5ef-4f52179d9df9": [0.0, 2.312058327704898, 4.486020766470634], "d8d52851-3aa5-4f89-859a-b69009da14e1": [0.0, 0.0, 0.0], "f0fbbd7a-68aa-47c8-9696-f4516640b88c": [0.0, 0.0, 0.0], "faa990b3-5277-4ee6-b98b-bbc9bcb78d83": [0.0, 1.7288940976029878, 3.0248853538566776], "fb9f8245-64dd-47f3-a82f-8218175f9282": [0.0, 0.0, 0.0], "fc3d4a58-f6d0-487f-aefe-23b5ef1907b8": [0.0, 0.0, 0.0]}}
3.1	4	{"mass_kg": 58.0, "session": "c47b3f4f-bd12-4cef-94a8-d7d7d15049da", "standing": "9b8f894e-726b-4fcc-8ccc-e0a719ac840d", "stature_m": 1.66}	2026-01-30 09:25:00+00	Europe/Lisbon	2026-01-30	aea42448-fb66-460d-a0e2-a412174e9a4b	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	{"reach": {"low": 22.65502076415812, "high": 25.397098532054, "unit": "kg", "likely": 24.01561212570164, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-25", "unit": "kg", "value": 23.71534323295213}, {"name": "from the set of 2026-01-28", "unit": "kg", "value": 24.01561212570164}, {"name": "from the set of 2026-01-30", "unit": "kg", "value": 24.01561212570164}, {"name": "one-rep load", "unit": "kg", "value": 29.619381664935815}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 26.918337993005448, "high": 32.39119746751496, "unit": "kg", "likely": 29.619381664935815, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-25", "unit": "kg", "value": 29.080847452846072}, {"name": "from the set of 2026-01-28", "unit": "kg", "value": 29.619381664935815}, {"name": "from the set of 2026-01-30", "unit": "kg", "value": 29.619381664935815}, {"name": "load", "unit": "kg", "value": 22.21453624870186}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "effort", "unit": "of 10", "value": 9.0}, {"name": "reps to failure", "unit": "reps", "value": 10.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 10.0}, {"name": "Epley 1985", "unit": "kg", "value": 29.619381664935815}, {"name": "Brzycki 1993", "unit": "kg", "value": 29.619381664935815}, {"name": "Lander 1985", "unit": "kg", "value": 29.783109344706784}, {"name": "Lombardi 1989", "unit": "kg", "value": 27.966444194713446}, {"name": "Mayhew 1992", "unit": "kg", "value": 29.086441632533404}, {"name": "O'Conner 1989", "unit": "kg", "value": 27.768170310877327}, {"name": "Wathan 1994", "unit": "kg", "value": 29.933354400288362}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 27.768170310877327, "spread_high": 29.933354400288362}, "narrower": "The estimate rests on a rated effort: test “Push-up on riser 60” to the end.", "predictions": {"0feb2343-e9d9-4863-9bf9-56d8cb15435b": [31.0, 31.0, 31.0], "13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791": [0.0, 0.0, 0.0], "52bae8cd-a27c-4ca9-919d-0d3a076ff337": [18.396015085091165, 22.76918281905095, 29.698555951252658], "5b225289-6da4-46d9-9721-6b9e7e9e5e7a": [0.0, 0.0, 0.0], "82aedb2b-cacb-4327-a024-8327c2cb7b2a": [0.0, 0.0, 0.0], "9b8f894e-726b-4fcc-8ccc-e0a719ac840d": [9.183503419072274, 10.0, 10.816496580927726], "d8145983-10fc-418a-b5ef-4f52179d9df9": [0.7674415331942266, 2.7210717242581195, 4.919969839985441], "d8d52851-3aa5-4f89-859a-b69009da14e1": [0.0, 0.0, 0.0], "f0fbbd7a-68aa-47c8-9696-f4516640b88c": [0.0, 0.0, 0.0], "faa990b3-5277-4ee6-b98b-bbc9bcb78d83": [0.0, 1.9279940228891017, 3.513743706737924], "fb9f8245-64dd-47f3-a82f-8218175f9282": [0.0, 0.0, 0.0], "fc3d4a58-f6d0-487f-aefe-23b5ef1907b8": [0.0, 0.0, 0.0]}}
3.1	4	{"mass_kg": 58.0, "session": "1b668bf9-a3f2-4402-9577-e528239aff73", "standing": "9b8f894e-726b-4fcc-8ccc-e0a719ac840d", "stature_m": 1.66}	2026-02-01 09:25:00+00	Europe/Lisbon	2026-02-01	20cb7f9f-b1ad-4011-a6e6-a8063df68977	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	{"reach": {"low": 22.65502076415812, "high": 25.397098532054, "unit": "kg", "likely": 24.01561212570164, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-28", "unit": "kg", "value": 24.01561212570164}, {"name": "from the set of 2026-01-30", "unit": "kg", "value": 24.01561212570164}, {"name": "from the set of 2026-02-01", "unit": "kg", "value": 24.315807277272913}, {"name": "one-rep load", "unit": "kg", "value": 29.619381664935815}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 26.918337993005448, "high": 32.39119746751496, "unit": "kg", "likely": 29.619381664935815, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-28", "unit": "kg", "value": 29.619381664935815}, {"name": "from the set of 2026-01-30", "unit": "kg", "value": 29.619381664935815}, {"name": "from the set of 2026-02-01", "unit": "kg", "value": 29.989623935747517}, {"name": "load", "unit": "kg", "value": 22.21453624870186}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "effort", "unit": "of 10", "value": 9.0}, {"name": "reps to failure", "unit": "reps", "value": 10.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 10.0}, {"name": "Epley 1985", "unit": "kg", "value": 29.619381664935815}, {"name": "Brzycki 1993", "unit": "kg", "value": 29.619381664935815}, {"name": "Lander 1985", "unit": "kg", "value": 29.783109344706784}, {"name": "Lombardi 1989", "unit": "kg", "value": 27.966444194713446}, {"name": "Mayhew 1992", "unit": "kg", "value": 29.086441632533404}, {"name": "O'Conner 1989", "unit": "kg", "value": 27.768170310877327}, {"name": "Wathan 1994", "unit": "kg", "value": 29.933354400288362}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 27.768170310877327, "spread_high": 29.933354400288362}, "narrower": "The estimate rests on a rated effort: test “Push-up on riser 60” to the end.", "predictions": {"0feb2343-e9d9-4863-9bf9-56d8cb15435b": [31.0, 31.0, 31.0], "13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791": [0.0, 0.0, 0.0], "52bae8cd-a27c-4ca9-919d-0d3a076ff337": [18.396015085091165, 22.76918281905095, 29.698555951252658], "5b225289-6da4-46d9-9721-6b9e7e9e5e7a": [0.0, 0.0, 0.0], "82aedb2b-cacb-4327-a024-8327c2cb7b2a": [0.0, 0.0, 0.0], "9b8f894e-726b-4fcc-8ccc-e0a719ac840d": [9.183503419072274, 10.0, 10.816496580927726], "d8145983-10fc-418a-b5ef-4f52179d9df9": [0.7674415331942266, 2.7210717242581195, 4.919969839985441], "d8d52851-3aa5-4f89-859a-b69009da14e1": [0.0, 0.0, 0.0], "f0fbbd7a-68aa-47c8-9696-f4516640b88c": [0.0, 0.0, 0.0], "faa990b3-5277-4ee6-b98b-bbc9bcb78d83": [0.0, 1.9279940228891017, 3.513743706737924], "fb9f8245-64dd-47f3-a82f-8218175f9282": [0.0, 0.0, 0.0], "fc3d4a58-f6d0-487f-aefe-23b5ef1907b8": [0.0, 0.0, 0.0]}}
3.1	4	{"mass_kg": 71.0, "standing": "f810615b-c31e-40d9-8cf0-3e61bee558e7", "stature_m": 1.75, "ladder given": "tour-push-up"}	2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	5ad14628-2a94-4839-a8ce-8d404a48ac48	f3731dd1-3ec4-4d28-889d-bec6c1955933	f810615b-c31e-40d9-8cf0-3e61bee558e7	{"reach": {"low": 46.825486208292254, "high": 50.89698794526093, "unit": "kg", "likely": 48.82392660741403, "derivation": {"note": "", "inputs": [{"name": "one-rep load", "unit": "kg", "value": 63.471506400546915}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 57.74192979478365, "high": 69.67344549831203, "unit": "kg", "likely": 63.471506400546915, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 45.33679028610494}, {"name": "reps", "unit": "reps", "value": 12.0}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 12.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 12.0}, {"name": "Epley 1985", "unit": "kg", "value": 63.471506400546915}, {"name": "Brzycki 1993", "unit": "kg", "value": 65.28497801199111}, {"name": "Lander 1985", "unit": "kg", "value": 65.47278958973202}, {"name": "Lombardi 1989", "unit": "kg", "value": 58.12579350135287}, {"name": "Mayhew 1992", "unit": "kg", "value": 61.38532651995305}, {"name": "O'Conner 1989", "unit": "kg", "value": 58.93782737193643}, {"name": "Wathan 1994", "unit": "kg", "value": 64.14967963976314}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 58.12579350135287, "spread_high": 65.47278958973202}, "narrower": "A second test on another day, on “Feet on riser 40”, would narrow it most.", "predictions": {"1c6c968c-00fe-487e-b620-5f2252e484a6": [31.0, 31.0, 31.0], "2379d076-8cd2-4ba9-b64f-ba437bcca814": [5.927199519260563, 7.689042786720153, 9.100636522745328], "30c9c125-0492-44b5-a1d7-3080542d9105": [31.0, 31.0, 31.0], "336becf2-173d-4a31-8938-e1de78e86cd5": [5.09983849707034, 6.0, 6.990655068767453], "5a607fa4-a6c5-4bfa-81ca-115ed487ea52": [0.0, 1.8778145742264045, 3.7854136229953497], "67292544-155f-4a93-ba0d-5ed9374ecd4e": [1.9900887312684028, 4.46885793664668, 6.2226050012340615], "8e7608d5-028e-4426-8409-0a3d71d7be89": [23.683796463942073, 30.452693198813648, 31.0], "9bfe35c7-fd26-471e-a489-06fac7fa1842": [31.0, 31.0, 31.0], "addd7b9e-461b-425e-a516-fa10f55b03d4": [28.370958206113464, 31.0, 31.0], "b6347abd-7876-4f19-89e8-aead25c32be0": [11.0, 12.0, 13.0], "ef91c822-bf53-497f-a969-359af5952d67": [15.611744402052457, 17.503917420441926, 20.833342156927454], "f810615b-c31e-40d9-8cf0-3e61bee558e7": [7.674222942062411, 9.049976520852269, 10.16843886444437]}}
3.1	4	{"mass_kg": 71.0, "standing": "5c15580e-caad-4ae3-af67-7dd14abef447", "stature_m": 1.75, "ladder given": "row"}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	c2188e21-1ddf-4d6b-82e2-7cb969c92b43	5d8bad91-eee2-4ef1-aad4-057287a1ab9f	5c15580e-caad-4ae3-af67-7dd14abef447	{"reach": {"low": 34.931144371236016, "high": 39.22103082408341, "unit": "kg", "likely": 37.1058006245648, "derivation": {"note": "", "inputs": [{"name": "one-rep load", "unit": "kg", "value": 45.282359370612305}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 41.42572348902539, "high": 49.379727546721035, "unit": "kg", "likely": 45.282359370612305, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 35.202968514719466}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 9.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 9.0}, {"name": "Epley 1985", "unit": "kg", "value": 45.76385906913531}, {"name": "Brzycki 1993", "unit": "kg", "value": 45.26095951892503}, {"name": "Lander 1985", "unit": "kg", "value": 45.56491853397331}, {"name": "Lombardi 1989", "unit": "kg", "value": 43.85342704509696}, {"name": "Mayhew 1992", "unit": "kg", "value": 45.282359370612305}, {"name": "O'Conner 1989", "unit": "kg", "value": 43.12363643053135}, {"name": "Wathan 1994", "unit": "kg", "value": 46.20259892202851}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 43.12363643053135, "spread_high": 46.20259892202851}, "narrower": "A second test on another day, on “Row, leaning two thirds”, would narrow it most.", "predictions": {"13f738a6-0592-4b85-adea-77a0ec9d38b9": [31.0, 31.0, 31.0], "5c15580e-caad-4ae3-af67-7dd14abef447": [7.999999999999999, 9.000000000000002, 10.0], "6fe0614b-46a4-4d46-9757-0c550a2dca5f": [0.0, 2.112088591606325, 3.746616517879535], "9504e0bc-cbcf-4b79-bcf6-c96d9c0f8bff": [0.0, 0.0, 0.0], "be60322e-f59c-4cc3-90c7-24272b6a579b": [0.0, 0.0, 0.0], "c0db97d6-0ab1-4614-9abd-2366db495cea": [16.32851685931153, 19.881188313813574, 27.287863258695594], "de8cbfbe-a181-4f77-9c81-c1d5cbb907d9": [0.0, 0.0, 0.0], "ee1c1f25-68c5-4f7a-8800-c3f6cde7f33c": [0.0, 0.0, 0.0]}}
3.1	4	{"mass_kg": 71.0, "standing": "c1725480-b70b-47b4-ae49-63c539ed91b4", "stature_m": 1.75, "ladder given": "l-sit"}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	4af14dc7-e593-4fb7-a204-82f1a4d041e5	2479a62a-1333-473a-a4b2-150132f809e5	c1725480-b70b-47b4-ae49-63c539ed91b4	{"reach": {"low": 53.354518565317974, "high": 66.0338140793191, "unit": "N·m", "likely": 59.35553760234432, "derivation": {"note": "", "inputs": [{"name": "greatest torque", "unit": "N·m", "value": 63.91611597868715}, {"name": "seconds", "unit": "s", "value": 11.428571428571429}, {"name": "share of capacity", "unit": "", "value": 0.9286474419399395}], "formula": "The greatest torque × the share that can be held for this long.", "sources": ["Rohmert 1960: T[min] = −1.5 + 2.1/f − 0.6/f² + 0.1/f³"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 57.45400908428787, "high": 71.10751733873818, "unit": "N·m", "likely": 63.91611597868715, "derivation": {"note": "", "inputs": [{"name": "torque held", "unit": "N·m", "value": 55.15980758958973}, {"name": "for", "unit": "s", "value": 17.0}, {"name": "share of capacity", "unit": "", "value": 0.8630031212782514}], "formula": "Torque held ÷ the share of capacity that Rohmert's curve gives for that time. The range joins the test's own scatter, how far people differ in endurance and the torque's own range.", "sources": ["Rohmert 1960: T[min] = −1.5 + 2.1/f − 0.6/f² + 0.1/f³"]}, "spread_low": null, "spread_high": null}, "narrower": "A second test on another day, on “Shins tucked back”, would narrow it most.", "predictions": {"039afc87-45fb-40b7-974a-12f1b585f8f0": [0.0, 0.0, 0.0], "04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f": [0.0, 0.0, 1.4957905867928563], "11d753a6-d60c-440c-9bbd-81e3b3b5a3f5": [20.843845777325143, 24.722027662284873, 29.114046181742907], "246796d1-5460-4269-8ed8-ad072406bb16": [6.666928473586397, 9.697143198892203, 12.817962580954934], "c1725480-b70b-47b4-ae49-63c539ed91b4": [14.960000000024714, 16.999999999967493, 19.039999999984524], "debd6f57-49ae-4711-8e97-522ea603fb29": [0.0, 3.2393103950683244, 7.78538997886621], "e50b6299-723b-4413-b5a5-62da5697b256": [0.0, 0.0, 0.0], "f784ca51-1ac0-4043-935b-8fe93f4df5d6": [27.34913127865571, 35.77759825554003, 46.49943438134609]}}
3.1	4	{"mass_kg": 71.0, "session": "beaecd96-ef48-4c35-a509-6f6945cca327", "standing": "f810615b-c31e-40d9-8cf0-3e61bee558e7", "stature_m": 1.75}	2026-01-20 09:25:00+00	Europe/Lisbon	2026-01-20	6768e4f4-904c-472f-83e4-39962f0cdb5f	f3731dd1-3ec4-4d28-889d-bec6c1955933	f810615b-c31e-40d9-8cf0-3e61bee558e7	{"reach": {"low": 47.063515545304156, "high": 50.58292789946181, "unit": "kg", "likely": 48.79276837374137, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-18", "unit": "kg", "value": 48.82392660741403}, {"name": "from the set of 2026-01-20", "unit": "kg", "value": 48.761610140068704}, {"name": "one-rep load", "unit": "kg", "value": 63.471506400546915}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 2 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 58.03763687377594, "high": 68.64234616555697, "unit": "kg", "likely": 63.09741358726323, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-18", "unit": "kg", "value": 63.471506400546915}, {"name": "from the set of 2026-01-20", "unit": "kg", "value": 62.72332077397955}, {"name": "load", "unit": "kg", "value": 45.33679028610494}, {"name": "reps", "unit": "reps", "value": 12.0}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 12.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 12.0}, {"name": "Epley 1985", "unit": "kg", "value": 63.471506400546915}, {"name": "Brzycki 1993", "unit": "kg", "value": 65.28497801199111}, {"name": "Lander 1985", "unit": "kg", "value": 65.47278958973202}, {"name": "Lombardi 1989", "unit": "kg", "value": 58.12579350135287}, {"name": "Mayhew 1992", "unit": "kg", "value": 61.38532651995305}, {"name": "O'Conner 1989", "unit": "kg", "value": 58.93782737193643}, {"name": "Wathan 1994", "unit": "kg", "value": 64.14967963976314}], "formula": "The middle of 2 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 58.12579350135287, "spread_high": 65.47278958973202}, "narrower": "A second test on another day, on “Feet on riser 40”, would narrow it most.", "predictions": {"1c6c968c-00fe-487e-b620-5f2252e484a6": [31.0, 31.0, 31.0], "2379d076-8cd2-4ba9-b64f-ba437bcca814": [6.2822091595602565, 7.664925394079384, 8.832420726118727], "30c9c125-0492-44b5-a1d7-3080542d9105": [31.0, 31.0, 31.0], "336becf2-173d-4a31-8938-e1de78e86cd5": [5.080414814967293, 5.986562002958729, 7.0294570906539215], "5a607fa4-a6c5-4bfa-81ca-115ed487ea52": [0.0, 1.8676542873087736, 3.4938615335301684], "67292544-155f-4a93-ba0d-5ed9374ecd4e": [2.3795580689400575, 4.446801155171987, 5.923547169416605], "8e7608d5-028e-4426-8409-0a3d71d7be89": [23.421541122484577, 30.29802643207964, 31.0], "9bfe35c7-fd26-471e-a489-06fac7fa1842": [31.0, 31.0, 31.0], "addd7b9e-461b-425e-a516-fa10f55b03d4": [27.440933374637495, 31.0, 31.0], "b6347abd-7876-4f19-89e8-aead25c32be0": [10.976218769751911, 11.973124005917459, 13.115096736373324], "ef91c822-bf53-497f-a969-359af5952d67": [15.267065455286524, 17.43520671516734, 21.844831842427816], "f810615b-c31e-40d9-8cf0-3e61bee558e7": [7.9207387611416875, 9.024988260426134, 9.989525485936248]}}
3.1	4	{"mass_kg": 71.0, "session": "5e20306b-0791-4bb4-b3d1-ee19ece6be0a", "standing": "f810615b-c31e-40d9-8cf0-3e61bee558e7", "stature_m": 1.75}	2026-01-22 09:25:00+00	Europe/Lisbon	2026-01-22	8a516c17-dc18-42f4-a75d-afdb68bcf7cb	f3731dd1-3ec4-4d28-889d-bec6c1955933	f810615b-c31e-40d9-8cf0-3e61bee558e7	{"reach": {"low": 47.292488230511154, "high": 50.66693648892252, "unit": "kg", "likely": 48.82392660741403, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-18", "unit": "kg", "value": 48.82392660741403}, {"name": "from the set of 2026-01-20", "unit": "kg", "value": 48.761610140068704}, {"name": "from the set of 2026-01-22", "unit": "kg", "value": 50.01173466144603}, {"name": "one-rep load", "unit": "kg", "value": 63.471506400546915}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 58.36292563853804, "high": 69.54945933439981, "unit": "kg", "likely": 63.471506400546915, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-18", "unit": "kg", "value": 63.471506400546915}, {"name": "from the set of 2026-01-20", "unit": "kg", "value": 62.72332077397955}, {"name": "from the set of 2026-01-22", "unit": "kg", "value": 65.01566664620533}, {"name": "load", "unit": "kg", "value": 45.33679028610494}, {"name": "reps", "unit": "reps", "value": 12.0}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 12.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 12.0}, {"name": "Epley 1985", "unit": "kg", "value": 63.471506400546915}, {"name": "Brzycki 1993", "unit": "kg", "value": 65.28497801199111}, {"name": "Lander 1985", "unit": "kg", "value": 65.47278958973202}, {"name": "Lombardi 1989", "unit": "kg", "value": 58.12579350135287}, {"name": "Mayhew 1992", "unit": "kg", "value": 61.38532651995305}, {"name": "O'Conner 1989", "unit": "kg", "value": 58.93782737193643}, {"name": "Wathan 1994", "unit": "kg", "value": 64.14967963976314}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 58.12579350135287, "spread_high": 65.47278958973202}, "narrower": "A second test on another day, on “Feet on riser 40”, would narrow it most.", "predictions": {"1c6c968c-00fe-487e-b620-5f2252e484a6": [31.0, 31.0, 31.0], "2379d076-8cd2-4ba9-b64f-ba437bcca814": [6.66716880136193, 7.689042786720153, 8.895592590419012], "30c9c125-0492-44b5-a1d7-3080542d9105": [31.0, 31.0, 31.0], "336becf2-173d-4a31-8938-e1de78e86cd5": [5.197738157027322, 6.0, 7.085996179820001], "5a607fa4-a6c5-4bfa-81ca-115ed487ea52": [0.0, 1.8778145742264045, 3.7042630696599663], "67292544-155f-4a93-ba0d-5ed9374ecd4e": [2.777156186018102, 4.46885793664668, 6.089540065465449], "8e7608d5-028e-4426-8409-0a3d71d7be89": [24.085066201856414, 30.452693198813648, 31.0], "9bfe35c7-fd26-471e-a489-06fac7fa1842": [31.0, 31.0, 31.0], "addd7b9e-461b-425e-a516-fa10f55b03d4": [28.370958206113464, 31.0, 31.0], "b6347abd-7876-4f19-89e8-aead25c32be0": [11.422649730810374, 12.0, 13.379600278037222], "ef91c822-bf53-497f-a969-359af5952d67": [15.955612667199581, 17.503917420441926, 22.933320660751082], "f810615b-c31e-40d9-8cf0-3e61bee558e7": [8.183503419072274, 9.049976520852269, 9.905185409964393]}}
3.1	4	{"mass_kg": 71.0, "session": "257c396a-eda4-4c10-a4be-143599db277b", "standing": "b6347abd-7876-4f19-89e8-aead25c32be0", "stature_m": 1.75}	2026-01-24 09:25:00+00	Europe/Lisbon	2026-01-24	d054d8b3-355e-49c2-9457-9aeea5152d24	f3731dd1-3ec4-4d28-889d-bec6c1955933	f810615b-c31e-40d9-8cf0-3e61bee558e7	{"reach": {"low": 47.90979224257508, "high": 51.58118745505869, "unit": "kg", "likely": 49.98640105044771, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-20", "unit": "kg", "value": 48.761610140068704}, {"name": "from the set of 2026-01-22", "unit": "kg", "value": 50.01173466144603}, {"name": "from the set of 2026-01-24", "unit": "kg", "value": 49.98640105044771}, {"name": "one-rep load", "unit": "kg", "value": 64.98273274341709}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 58.857671028946285, "high": 70.37625912245265, "unit": "kg", "likely": 64.98273274341709, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-20", "unit": "kg", "value": 62.72332077397955}, {"name": "from the set of 2026-01-22", "unit": "kg", "value": 65.01566664620533}, {"name": "from the set of 2026-01-24", "unit": "kg", "value": 64.98273274341709}, {"name": "load", "unit": "kg", "value": 45.33679028610494}, {"name": "reps", "unit": "reps", "value": 11.0}, {"name": "effort", "unit": "of 10", "value": 8.0}, {"name": "reps to failure", "unit": "reps", "value": 13.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 13.0}, {"name": "Epley 1985", "unit": "kg", "value": 64.98273274341709}, {"name": "Brzycki 1993", "unit": "kg", "value": 68.00518542915742}, {"name": "Lander 1985", "unit": "kg", "value": 68.09983398341929}, {"name": "Lombardi 1989", "unit": "kg", "value": 58.59291508093401}, {"name": "Mayhew 1992", "unit": "kg", "value": 62.36391744069291}, {"name": "O'Conner 1989", "unit": "kg", "value": 60.071247129089045}, {"name": "Wathan 1994", "unit": "kg", "value": 65.61710158635124}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 58.59291508093401, "spread_high": 68.09983398341929}, "narrower": "The estimate rests on a rated effort: test “Feet on riser 20” to the end.", "predictions": {"1c6c968c-00fe-487e-b620-5f2252e484a6": [31.0, 31.0, 31.0], "2379d076-8cd2-4ba9-b64f-ba437bcca814": [6.869879394175497, 8.586400948308734, 9.530410166693269], "30c9c125-0492-44b5-a1d7-3080542d9105": [31.0, 31.0, 31.0], "336becf2-173d-4a31-8938-e1de78e86cd5": [5.521241402986218, 6.5, 7.512444002674468], "5a607fa4-a6c5-4bfa-81ca-115ed487ea52": [0.0, 2.51171555674931, 4.112715338258994], "67292544-155f-4a93-ba0d-5ed9374ecd4e": [2.802900333877646, 5.2895450303763685, 6.52135291697968], "8e7608d5-028e-4426-8409-0a3d71d7be89": [25.44837740413261, 31.0, 31.0], "9bfe35c7-fd26-471e-a489-06fac7fa1842": [31.0, 31.0, 31.0], "addd7b9e-461b-425e-a516-fa10f55b03d4": [29.45395458599395, 31.0, 31.0], "b6347abd-7876-4f19-89e8-aead25c32be0": [11.869730678285366, 13.0, 13.816496580927726], "ef91c822-bf53-497f-a969-359af5952d67": [16.20936168996832, 18.960090591056115, 22.933320660751082], "f810615b-c31e-40d9-8cf0-3e61bee558e7": [8.707425688178484, 9.948032905247034, 10.816496580927726]}}
3.1	4	{"mass_kg": 71.0, "session": "b2142e91-c913-49e5-a8d6-f738b157ee19", "standing": "b6347abd-7876-4f19-89e8-aead25c32be0", "stature_m": 1.75}	2026-01-27 09:25:00+00	Europe/Lisbon	2026-01-27	97353b22-9983-460a-adcd-896f81626cfa	f3731dd1-3ec4-4d28-889d-bec6c1955933	f810615b-c31e-40d9-8cf0-3e61bee558e7	{"reach": {"low": 47.90979224257508, "high": 52.12600723596789, "unit": "kg", "likely": 49.98640105044771, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-22", "unit": "kg", "value": 50.01173466144603}, {"name": "from the set of 2026-01-24", "unit": "kg", "value": 49.98640105044771}, {"name": "from the set of 2026-01-27", "unit": "kg", "value": 49.98640105044771}, {"name": "one-rep load", "unit": "kg", "value": 64.98273274341709}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 58.857671028946285, "high": 71.66448846376919, "unit": "kg", "likely": 64.98273274341709, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-22", "unit": "kg", "value": 65.01566664620533}, {"name": "from the set of 2026-01-24", "unit": "kg", "value": 64.98273274341709}, {"name": "from the set of 2026-01-27", "unit": "kg", "value": 64.98273274341709}, {"name": "load", "unit": "kg", "value": 45.33679028610494}, {"name": "reps", "unit": "reps", "value": 12.0}, {"name": "effort", "unit": "of 10", "value": 9.0}, {"name": "reps to failure", "unit": "reps", "value": 13.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 13.0}, {"name": "Epley 1985", "unit": "kg", "value": 64.98273274341709}, {"name": "Brzycki 1993", "unit": "kg", "value": 68.00518542915742}, {"name": "Lander 1985", "unit": "kg", "value": 68.09983398341929}, {"name": "Lombardi 1989", "unit": "kg", "value": 58.59291508093401}, {"name": "Mayhew 1992", "unit": "kg", "value": 62.36391744069291}, {"name": "O'Conner 1989", "unit": "kg", "value": 60.071247129089045}, {"name": "Wathan 1994", "unit": "kg", "value": 65.61710158635124}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 58.59291508093401, "spread_high": 68.09983398341929}, "narrower": "The estimate rests on a rated effort: test “Feet on riser 20” to the end.", "predictions": {"1c6c968c-00fe-487e-b620-5f2252e484a6": [31.0, 31.0, 31.0], "2379d076-8cd2-4ba9-b64f-ba437bcca814": [6.869879394175497, 8.586400948308734, 9.879696302776598], "30c9c125-0492-44b5-a1d7-3080542d9105": [31.0, 31.0, 31.0], "336becf2-173d-4a31-8938-e1de78e86cd5": [5.5921288117583385, 6.5, 7.512444002674468], "5a607fa4-a6c5-4bfa-81ca-115ed487ea52": [0.0, 2.51171555674931, 4.601460041245302], "67292544-155f-4a93-ba0d-5ed9374ecd4e": [2.802900333877646, 5.2895450303763685, 7.012004662407595], "8e7608d5-028e-4426-8409-0a3d71d7be89": [26.810965252271195, 31.0, 31.0], "9bfe35c7-fd26-471e-a489-06fac7fa1842": [31.0, 31.0, 31.0], "addd7b9e-461b-425e-a516-fa10f55b03d4": [31.0, 31.0, 31.0], "b6347abd-7876-4f19-89e8-aead25c32be0": [12.183503419072272, 13.0, 13.816496580927726], "ef91c822-bf53-497f-a969-359af5952d67": [17.18969263918973, 19.19627334550362, 21.711315613127617], "f810615b-c31e-40d9-8cf0-3e61bee558e7": [8.707425688178484, 9.948032905247034, 10.911734325391699]}}
3.1	4	{"mass_kg": 71.0, "session": "381f7aea-78f3-4ca4-b4ca-cd70f8efe152", "standing": "b6347abd-7876-4f19-89e8-aead25c32be0", "stature_m": 1.75}	2026-01-29 09:25:00+00	Europe/Lisbon	2026-01-29	b800af22-b5ac-40f1-9396-7950d542761a	f3731dd1-3ec4-4d28-889d-bec6c1955933	f810615b-c31e-40d9-8cf0-3e61bee558e7	{"reach": {"low": 47.90979224257508, "high": 52.12600723596789, "unit": "kg", "likely": 49.98640105044771, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-24", "unit": "kg", "value": 49.98640105044771}, {"name": "from the set of 2026-01-27", "unit": "kg", "value": 49.98640105044771}, {"name": "from the set of 2026-01-29", "unit": "kg", "value": 49.98640105044771}, {"name": "one-rep load", "unit": "kg", "value": 64.98273274341709}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 58.857671028946285, "high": 71.66448846376919, "unit": "kg", "likely": 64.98273274341709, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-24", "unit": "kg", "value": 64.98273274341709}, {"name": "from the set of 2026-01-27", "unit": "kg", "value": 64.98273274341709}, {"name": "from the set of 2026-01-29", "unit": "kg", "value": 64.98273274341709}, {"name": "load", "unit": "kg", "value": 45.33679028610494}, {"name": "reps", "unit": "reps", "value": 12.0}, {"name": "effort", "unit": "of 10", "value": 9.0}, {"name": "reps to failure", "unit": "reps", "value": 13.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 13.0}, {"name": "Epley 1985", "unit": "kg", "value": 64.98273274341709}, {"name": "Brzycki 1993", "unit": "kg", "value": 68.00518542915742}, {"name": "Lander 1985", "unit": "kg", "value": 68.09983398341929}, {"name": "Lombardi 1989", "unit": "kg", "value": 58.59291508093401}, {"name": "Mayhew 1992", "unit": "kg", "value": 62.36391744069291}, {"name": "O'Conner 1989", "unit": "kg", "value": 60.071247129089045}, {"name": "Wathan 1994", "unit": "kg", "value": 65.61710158635124}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 58.59291508093401, "spread_high": 68.09983398341929}, "narrower": "The estimate rests on a rated effort: test “Feet on riser 20” to the end.", "predictions": {"1c6c968c-00fe-487e-b620-5f2252e484a6": [31.0, 31.0, 31.0], "2379d076-8cd2-4ba9-b64f-ba437bcca814": [6.869879394175497, 8.586400948308734, 9.879696302776598], "30c9c125-0492-44b5-a1d7-3080542d9105": [31.0, 31.0, 31.0], "336becf2-173d-4a31-8938-e1de78e86cd5": [5.5921288117583385, 6.5, 7.512444002674468], "5a607fa4-a6c5-4bfa-81ca-115ed487ea52": [0.0, 2.51171555674931, 4.601460041245302], "67292544-155f-4a93-ba0d-5ed9374ecd4e": [2.802900333877646, 5.2895450303763685, 7.012004662407595], "8e7608d5-028e-4426-8409-0a3d71d7be89": [26.810965252271195, 31.0, 31.0], "9bfe35c7-fd26-471e-a489-06fac7fa1842": [31.0, 31.0, 31.0], "addd7b9e-461b-425e-a516-fa10f55b03d4": [31.0, 31.0, 31.0], "b6347abd-7876-4f19-89e8-aead25c32be0": [12.183503419072272, 13.0, 13.816496580927726], "ef91c822-bf53-497f-a969-359af5952d67": [17.18969263918973, 19.19627334550362, 21.711315613127617], "f810615b-c31e-40d9-8cf0-3e61bee558e7": [8.707425688178484, 9.948032905247034, 10.911734325391699]}}
3.1	4	{"mass_kg": 71.0, "session": "80ba6dfd-300b-42f2-b008-6d500b94f1f8", "standing": "b6347abd-7876-4f19-89e8-aead25c32be0", "stature_m": 1.75}	2026-01-31 09:25:00+00	Europe/Lisbon	2026-01-31	e942af45-67ac-4ce3-88d2-0bafc2e4a078	f3731dd1-3ec4-4d28-889d-bec6c1955933	f810615b-c31e-40d9-8cf0-3e61bee558e7	{"reach": {"low": 47.90979224257508, "high": 52.12600723596789, "unit": "kg", "likely": 49.98640105044771, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-27", "unit": "kg", "value": 49.98640105044771}, {"name": "from the set of 2026-01-29", "unit": "kg", "value": 49.98640105044771}, {"name": "from the set of 2026-01-31", "unit": "kg", "value": 49.98640105044771}, {"name": "one-rep load", "unit": "kg", "value": 64.98273274341709}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 58.857671028946285, "high": 71.66448846376919, "unit": "kg", "likely": 64.98273274341709, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-27", "unit": "kg", "value": 64.98273274341709}, {"name": "from the set of 2026-01-29", "unit": "kg", "value": 64.98273274341709}, {"name": "from the set of 2026-01-31", "unit": "kg", "value": 64.98273274341709}, {"name": "load", "unit": "kg", "value": 45.33679028610494}, {"name": "reps", "unit": "reps", "value": 12.0}, {"name": "effort", "unit": "of 10", "value": 9.0}, {"name": "reps to failure", "unit": "reps", "value": 13.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 13.0}, {"name": "Epley 1985", "unit": "kg", "value": 64.98273274341709}, {"name": "Brzycki 1993", "unit": "kg", "value": 68.00518542915742}, {"name": "Lander 1985", "unit": "kg", "value": 68.09983398341929}, {"name": "Lombardi 1989", "unit": "kg", "value": 58.59291508093401}, {"name": "Mayhew 1992", "unit": "kg", "value": 62.36391744069291}, {"name": "O'Conner 1989", "unit": "kg", "value": 60.071247129089045}, {"name": "Wathan 1994", "unit": "kg", "value": 65.61710158635124}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 58.59291508093401, "spread_high": 68.09983398341929}, "narrower": "The estimate rests on a rated effort: test “Feet on riser 20” to the end.", "predictions": {"1c6c968c-00fe-487e-b620-5f2252e484a6": [31.0, 31.0, 31.0], "2379d076-8cd2-4ba9-b64f-ba437bcca814": [6.869879394175497, 8.586400948308734, 9.879696302776598], "30c9c125-0492-44b5-a1d7-3080542d9105": [31.0, 31.0, 31.0], "336becf2-173d-4a31-8938-e1de78e86cd5": [5.5921288117583385, 6.5, 7.512444002674468], "5a607fa4-a6c5-4bfa-81ca-115ed487ea52": [0.0, 2.51171555674931, 4.601460041245302], "67292544-155f-4a93-ba0d-5ed9374ecd4e": [2.802900333877646, 5.2895450303763685, 7.012004662407595], "8e7608d5-028e-4426-8409-0a3d71d7be89": [26.810965252271195, 31.0, 31.0], "9bfe35c7-fd26-471e-a489-06fac7fa1842": [31.0, 31.0, 31.0], "addd7b9e-461b-425e-a516-fa10f55b03d4": [31.0, 31.0, 31.0], "b6347abd-7876-4f19-89e8-aead25c32be0": [12.183503419072272, 13.0, 13.816496580927726], "ef91c822-bf53-497f-a969-359af5952d67": [17.18969263918973, 19.19627334550362, 21.711315613127617], "f810615b-c31e-40d9-8cf0-3e61bee558e7": [8.707425688178484, 9.948032905247034, 10.911734325391699]}}
3.1	4	{"mass_kg": 96.0, "standing": "62c0ea9f-8907-441d-8cb6-88c11d013258", "stature_m": 1.88, "ladder given": "tour-push-up"}	2026-01-17 09:00:00+00	Europe/Lisbon	2026-01-17	d0d012ec-1c05-473e-9935-d22c45045a0f	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	62c0ea9f-8907-441d-8cb6-88c11d013258	{"reach": {"low": 69.72763563195953, "high": 75.91070097903577, "unit": "kg", "likely": 72.77771717767466, "derivation": {"note": "", "inputs": [{"name": "one-rep load", "unit": "kg", "value": 89.7595685050781}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 82.24844396257268, "high": 97.83339468078238, "unit": "kg", "likely": 89.7595685050781, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 65.67773305249617}, {"name": "reps", "unit": "reps", "value": 11.0}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 11.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 11.0}, {"name": "Epley 1985", "unit": "kg", "value": 89.7595685050781}, {"name": "Brzycki 1993", "unit": "kg", "value": 90.93839961114854}, {"name": "Lander 1985", "unit": "kg", "value": 91.3250233951919}, {"name": "Lombardi 1989", "unit": "kg", "value": 83.47519123840202}, {"name": "Mayhew 1992", "unit": "kg", "value": 87.47639785320902}, {"name": "O'Conner 1989", "unit": "kg", "value": 83.7391096419326}, {"name": "Wathan 1994", "unit": "kg", "value": 90.74387498859119}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 83.47519123840202, "spread_high": 91.3250233951919}, "narrower": "A second test on another day, on “Feet on riser 40, sandbag 5”, would narrow it most.", "predictions": {"0593dfa7-a9c2-4fc8-aff3-755063018024": [2.5960652064143983, 4.7245827620195, 6.224086962410686], "0bda0c06-7b29-40a4-944c-458abbaef794": [5.360307511052389, 6.967527002470389, 8.211868809996536], "41d61c5a-2ca1-48fe-9364-cfba2673f270": [31.0, 31.0, 31.0], "62c0ea9f-8907-441d-8cb6-88c11d013258": [5.907720220356607, 7.0260378950234506, 8.341304014974783], "6cc7934a-31e1-4b45-b1db-512a30303844": [31.0, 31.0, 31.0], "6e4f41fd-d569-4aac-a2d7-3ec77844f2b1": [31.0, 31.0, 31.0], "88cf249d-529a-4365-b492-c3565f15a459": [8.387114328867952, 9.520233871578768, 10.586605687402242], "8d4abdd2-c4bc-49fc-9557-4adc04e3bef1": [31.0, 31.0, 31.0], "ace5b4b1-5454-45e5-bc28-1114e9e7aea7": [25.59984712220752, 31.0, 31.0], "de2872c9-54b3-48b4-ab9d-3cd6b9c77b26": [10.0, 11.0, 12.0], "fd727abb-b605-40d6-952a-9cc68eabec7b": [16.417384658863348, 20.487023984001283, 24.508591880142546], "ffe897d0-cadf-431c-9bb2-d6186cc22c9c": [12.663072534404202, 14.052075790046901, 15.757352255581813]}}
3.1	4	{"mass_kg": 96.0, "session": "05a39463-7db8-4a15-a4f9-ad9e4a84398d", "standing": "62c0ea9f-8907-441d-8cb6-88c11d013258", "stature_m": 1.88}	2026-01-19 09:25:00+00	Europe/Lisbon	2026-01-19	7b12f67b-3ba4-4d5a-a544-93b0f9fe4d58	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	88cf249d-529a-4365-b492-c3565f15a459	{"reach": {"low": 68.27117243830716, "high": 75.85349468542296, "unit": "kg", "likely": 72.00923729506488, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-17", "unit": "kg", "value": 72.77771717767466}, {"name": "from the set of 2026-01-19", "unit": "kg", "value": 71.24075741245511}, {"name": "one-rep load", "unit": "kg", "value": 89.7595685050781}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 2 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 80.59521561331641, "high": 97.66100340924757, "unit": "kg", "likely": 88.81177259524642, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-17", "unit": "kg", "value": 89.7595685050781}, {"name": "from the set of 2026-01-19", "unit": "kg", "value": 87.86397668541476}, {"name": "load", "unit": "kg", "value": 65.67773305249617}, {"name": "reps", "unit": "reps", "value": 11.0}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 11.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 11.0}, {"name": "Epley 1985", "unit": "kg", "value": 89.7595685050781}, {"name": "Brzycki 1993", "unit": "kg", "value": 90.93839961114854}, {"name": "Lander 1985", "unit": "kg", "value": 91.3250233951919}, {"name": "Lombardi 1989", "unit": "kg", "value": 83.47519123840202}, {"name": "Mayhew 1992", "unit": "kg", "value": 87.47639785320902}, {"name": "O'Conner 1989", "unit": "kg", "value": 83.7391096419326}, {"name": "Wathan 1994", "unit": "kg", "value": 90.74387498859119}], "formula": "The middle of 2 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 83.47519123840202, "spread_high": 91.3250233951919}, "narrower": "A second test on another day, on “Slow floor push-up”, would narrow it most.", "predictions": {"0593dfa7-a9c2-4fc8-aff3-755063018024": [1.7730758878563548, 4.3579163657723825, 6.437137722462195], "0bda0c06-7b29-40a4-944c-458abbaef794": [4.309967985542621, 6.57717674262538, 8.435270835060962], "41d61c5a-2ca1-48fe-9364-cfba2673f270": [31.0, 31.0, 31.0], "62c0ea9f-8907-441d-8cb6-88c11d013258": [5.743093093341373, 6.763018947511725, 7.886473785408918], "6cc7934a-31e1-4b45-b1db-512a30303844": [31.0, 31.0, 31.0], "6e4f41fd-d569-4aac-a2d7-3ec77844f2b1": [31.0, 31.0, 31.0], "88cf249d-529a-4365-b492-c3565f15a459": [7.269028146047274, 9.102928879554947, 10.733415864421536], "8d4abdd2-c4bc-49fc-9557-4adc04e3bef1": [31.0, 31.0, 31.0], "ace5b4b1-5454-45e5-bc28-1114e9e7aea7": [23.651027912767976, 30.630328696005723, 31.0], "de2872c9-54b3-48b4-ab9d-3cd6b9c77b26": [8.926567328892816, 10.549144066968855, 12.107734418742139], "fd727abb-b605-40d6-952a-9cc68eabec7b": [15.561011690701875, 19.578331169039707, 23.500118309940405], "ffe897d0-cadf-431c-9bb2-d6186cc22c9c": [11.679119150439512, 13.52603789502345, 15.632127180023307]}}
3.1	4	{"mass_kg": 96.0, "session": "5ea62cb3-26b6-467b-8749-061f49863c44", "standing": "62c0ea9f-8907-441d-8cb6-88c11d013258", "stature_m": 1.88}	2026-01-21 09:25:00+00	Europe/Lisbon	2026-01-21	34dd31d4-0aaf-43f4-a606-88a4f8bbe3c0	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	62c0ea9f-8907-441d-8cb6-88c11d013258	{"reach": {"low": 69.57206560070632, "high": 75.66261265676616, "unit": "kg", "likely": 72.77771717767466, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-17", "unit": "kg", "value": 72.77771717767466}, {"name": "from the set of 2026-01-19", "unit": "kg", "value": 71.24075741245511}, {"name": "from the set of 2026-01-21", "unit": "kg", "value": 74.5542810130344}, {"name": "one-rep load", "unit": "kg", "value": 89.7595685050781}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 81.95614345650003, "high": 97.63303254985784, "unit": "kg", "likely": 89.7595685050781, "derivation": {"note": "", "inputs": [{"name": "from the test of 2026-01-17", "unit": "kg", "value": 89.7595685050781}, {"name": "from the set of 2026-01-19", "unit": "kg", "value": 87.86397668541476}, {"name": "from the set of 2026-01-21", "unit": "kg", "value": 91.95067327543404}, {"name": "load", "unit": "kg", "value": 65.67773305249617}, {"name": "reps", "unit": "reps", "value": 11.0}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 11.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 11.0}, {"name": "Epley 1985", "unit": "kg", "value": 89.7595685050781}, {"name": "Brzycki 1993", "unit": "kg", "value": 90.93839961114854}, {"name": "Lander 1985", "unit": "kg", "value": 91.3250233951919}, {"name": "Lombardi 1989", "unit": "kg", "value": 83.47519123840202}, {"name": "Mayhew 1992", "unit": "kg", "value": 87.47639785320902}, {"name": "O'Conner 1989", "unit": "kg", "value": 83.7391096419326}, {"name": "Wathan 1994", "unit": "kg", "value": 90.74387498859119}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 83.47519123840202, "spread_high": 91.3250233951919}, "narrower": "A second test on another day, on “Feet on riser 40, sandbag 5”, would narrow it most.", "predictions": {"0593dfa7-a9c2-4fc8-aff3-755063018024": [2.13633146588573, 4.7245827620195, 6.621065726467339], "0bda0c06-7b29-40a4-944c-458abbaef794": [4.83797172535013, 6.967527002470389, 8.685640477198385], "41d61c5a-2ca1-48fe-9364-cfba2673f270": [31.0, 31.0, 31.0], "62c0ea9f-8907-441d-8cb6-88c11d013258": [6.013803748707641, 7.0260378950234506, 8.249420967547561], "6cc7934a-31e1-4b45-b1db-512a30303844": [31.0, 31.0, 31.0], "6e4f41fd-d569-4aac-a2d7-3ec77844f2b1": [31.0, 31.0, 31.0], "88cf249d-529a-4365-b492-c3565f15a459": [7.806223359354501, 9.520233871578768, 10.938605389461166], "8d4abdd2-c4bc-49fc-9557-4adc04e3bef1": [31.0, 31.0, 31.0], "ace5b4b1-5454-45e5-bc28-1114e9e7aea7": [25.705706404981704, 31.0, 31.0], "de2872c9-54b3-48b4-ab9d-3cd6b9c77b26": [9.449242749526965, 11.0, 12.299914307886393], "fd727abb-b605-40d6-952a-9cc68eabec7b": [16.75555434674629, 20.487023984001283, 24.39025929924195], "ffe897d0-cadf-431c-9bb2-d6186cc22c9c": [12.516356761198315, 14.052075790046901, 15.469852512642404]}}
3.1	4	{"mass_kg": 96.0, "session": "e740074d-f0b0-4c09-a35d-d87a70285899", "standing": "88cf249d-529a-4365-b492-c3565f15a459", "stature_m": 1.88}	2026-01-23 09:25:00+00	Europe/Lisbon	2026-01-23	99900730-d444-4ead-8ca4-b6ac4ff69924	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	88cf249d-529a-4365-b492-c3565f15a459	{"reach": {"low": 69.57206560070632, "high": 75.66261265676616, "unit": "kg", "likely": 72.74022970486104, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-19", "unit": "kg", "value": 71.24075741245511}, {"name": "from the set of 2026-01-21", "unit": "kg", "value": 74.5542810130344}, {"name": "from the set of 2026-01-23", "unit": "kg", "value": 72.74022970486104}, {"name": "one-rep load", "unit": "kg", "value": 89.19742391890836}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 81.95614345650003, "high": 97.34935979588566, "unit": "kg", "likely": 89.19742391890836, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-19", "unit": "kg", "value": 87.86397668541476}, {"name": "from the set of 2026-01-21", "unit": "kg", "value": 91.95067327543404}, {"name": "from the set of 2026-01-23", "unit": "kg", "value": 89.19742391890836}, {"name": "load", "unit": "kg", "value": 68.1369210491661}, {"name": "reps", "unit": "reps", "value": 8.0}, {"name": "effort", "unit": "of 10", "value": 8.5}, {"name": "reps to failure", "unit": "reps", "value": 9.5}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 9.5}, {"name": "Epley 1985", "unit": "kg", "value": 89.71361271473538}, {"name": "Brzycki 1993", "unit": "kg", "value": 89.19742391890836}, {"name": "Lander 1985", "unit": "kg", "value": 89.74439676292599}, {"name": "Lombardi 1989", "unit": "kg", "value": 85.34043759505272}, {"name": "Mayhew 1992", "unit": "kg", "value": 88.43413578351075}, {"name": "O'Conner 1989", "unit": "kg", "value": 84.31943979834305}, {"name": "Wathan 1994", "unit": "kg", "value": 90.62639073914174}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 84.31943979834305, "spread_high": 90.62639073914174}, "narrower": "The estimate rests on a rated effort: test “Feet on riser 40” to the end.", "predictions": {"0593dfa7-a9c2-4fc8-aff3-755063018024": [2.13633146588573, 4.706804204571791, 6.621065726467339], "0bda0c06-7b29-40a4-944c-458abbaef794": [4.83797172535013, 6.948600085276951, 8.685640477198385], "41d61c5a-2ca1-48fe-9364-cfba2673f270": [31.0, 31.0, 31.0], "62c0ea9f-8907-441d-8cb6-88c11d013258": [5.807078932069536, 6.994978633406336, 8.316496580927728], "6cc7934a-31e1-4b45-b1db-512a30303844": [31.0, 31.0, 31.0], "6e4f41fd-d569-4aac-a2d7-3ec77844f2b1": [31.0, 31.0, 31.0], "88cf249d-529a-4365-b492-c3565f15a459": [7.806223359354501, 9.5, 10.938605389461166], "8d4abdd2-c4bc-49fc-9557-4adc04e3bef1": [31.0, 31.0, 31.0], "ace5b4b1-5454-45e5-bc28-1114e9e7aea7": [24.845595352766, 31.0, 31.0], "de2872c9-54b3-48b4-ab9d-3cd6b9c77b26": [9.449242749526965, 10.979008506441907, 12.299914307886393], "fd727abb-b605-40d6-952a-9cc68eabec7b": [16.38364002338945, 19.671048171924085, 25.94516115353374], "ffe897d0-cadf-431c-9bb2-d6186cc22c9c": [12.37802491352283, 13.989957266812672, 16.227466673564816]}}
3.1	4	{"mass_kg": 96.0, "session": "20585462-f198-4ee0-855e-e1ae7b50712f", "standing": "88cf249d-529a-4365-b492-c3565f15a459", "stature_m": 1.88}	2026-01-26 09:25:00+00	Europe/Lisbon	2026-01-26	88056476-4243-47be-8506-5bb0c9fe8573	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	0bda0c06-7b29-40a4-944c-458abbaef794	{"reach": {"low": 70.45775093600535, "high": 76.12428980150516, "unit": "kg", "likely": 73.66122114982038, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-21", "unit": "kg", "value": 74.5542810130344}, {"name": "from the set of 2026-01-23", "unit": "kg", "value": 72.74022970486104}, {"name": "from the set of 2026-01-26", "unit": "kg", "value": 73.66122114982038}, {"name": "one-rep load", "unit": "kg", "value": 90.8492280655548}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 82.72774607914378, "high": 98.21107012228143, "unit": "kg", "likely": 90.8492280655548, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-21", "unit": "kg", "value": 91.95067327543404}, {"name": "from the set of 2026-01-23", "unit": "kg", "value": 89.19742391890836}, {"name": "from the set of 2026-01-26", "unit": "kg", "value": 90.8492280655548}, {"name": "load", "unit": "kg", "value": 68.1369210491661}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "effort", "unit": "of 10", "value": 9.0}, {"name": "reps to failure", "unit": "reps", "value": 10.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 10.0}, {"name": "Epley 1985", "unit": "kg", "value": 90.8492280655548}, {"name": "Brzycki 1993", "unit": "kg", "value": 90.8492280655548}, {"name": "Lander 1985", "unit": "kg", "value": 91.35141725668724}, {"name": "Lombardi 1989", "unit": "kg", "value": 85.7793013902081}, {"name": "Mayhew 1992", "unit": "kg", "value": 89.21458251161644}, {"name": "O'Conner 1989", "unit": "kg", "value": 85.17115131145763}, {"name": "Wathan 1994", "unit": "kg", "value": 91.81225224219308}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 85.17115131145763, "spread_high": 91.81225224219308}, "narrower": "The estimate rests on a rated effort: test “Feet on riser 40, sandbag 5” to the end.", "predictions": {"0593dfa7-a9c2-4fc8-aff3-755063018024": [3.031008598339004, 5.146130840072689, 6.32993122825894], "0bda0c06-7b29-40a4-944c-458abbaef794": [5.812406944197704, 7.41630388382476, 8.337023935961886], "41d61c5a-2ca1-48fe-9364-cfba2673f270": [31.0, 31.0, 31.0], "62c0ea9f-8907-441d-8cb6-88c11d013258": [6.075094979783206, 7.311512537717303, 8.49354380587186], "6cc7934a-31e1-4b45-b1db-512a30303844": [31.0, 31.0, 31.0], "6e4f41fd-d569-4aac-a2d7-3ec77844f2b1": [31.0, 31.0, 31.0], "88cf249d-529a-4365-b492-c3565f15a459": [8.683503419072274, 10.0, 10.816496580927726], "8d4abdd2-c4bc-49fc-9557-4adc04e3bef1": [31.0, 31.0, 31.0], "ace5b4b1-5454-45e5-bc28-1114e9e7aea7": [26.15005563075681, 31.0, 31.0], "de2872c9-54b3-48b4-ab9d-3cd6b9c77b26": [10.003823156192006, 11.497730133105721, 12.57290840574924], "fd727abb-b605-40d6-952a-9cc68eabec7b": [16.458583289775866, 21.089441503428908, 26.365334295823423], "ffe897d0-cadf-431c-9bb2-d6186cc22c9c": [12.516356761198315, 14.623025075434606, 16.931523230641364]}}
3.1	4	{"mass_kg": 96.0, "session": "d58f79ef-f7e2-43bf-8185-2559df4bde2f", "standing": "de2872c9-54b3-48b4-ab9d-3cd6b9c77b26", "stature_m": 1.88}	2026-01-28 09:25:00+00	Europe/Lisbon	2026-01-28	8abbab53-e94d-4a36-bf16-2afaf89b7d42	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	62c0ea9f-8907-441d-8cb6-88c11d013258	{"reach": {"low": 70.45775093600535, "high": 75.73834223704745, "unit": "kg", "likely": 72.77771717767466, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-23", "unit": "kg", "value": 72.74022970486104}, {"name": "from the set of 2026-01-26", "unit": "kg", "value": 73.66122114982038}, {"name": "from the set of 2026-01-28", "unit": "kg", "value": 72.77771717767466}, {"name": "one-rep load", "unit": "kg", "value": 89.7595685050781}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 82.72774607914378, "high": 97.73384292912218, "unit": "kg", "likely": 89.7595685050781, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-23", "unit": "kg", "value": 89.19742391890836}, {"name": "from the set of 2026-01-26", "unit": "kg", "value": 90.8492280655548}, {"name": "from the set of 2026-01-28", "unit": "kg", "value": 89.7595685050781}, {"name": "load", "unit": "kg", "value": 65.67773305249617}, {"name": "reps", "unit": "reps", "value": 10.0}, {"name": "effort", "unit": "of 10", "value": 9.0}, {"name": "reps to failure", "unit": "reps", "value": 11.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 11.0}, {"name": "Epley 1985", "unit": "kg", "value": 89.7595685050781}, {"name": "Brzycki 1993", "unit": "kg", "value": 90.93839961114854}, {"name": "Lander 1985", "unit": "kg", "value": 91.3250233951919}, {"name": "Lombardi 1989", "unit": "kg", "value": 83.47519123840202}, {"name": "Mayhew 1992", "unit": "kg", "value": 87.47639785320902}, {"name": "O'Conner 1989", "unit": "kg", "value": 83.7391096419326}, {"name": "Wathan 1994", "unit": "kg", "value": 90.74387498859119}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 83.47519123840202, "spread_high": 91.3250233951919}, "narrower": "The estimate rests on a rated effort: test “Slow floor push-up” to the end.", "predictions": {"0593dfa7-a9c2-4fc8-aff3-755063018024": [3.031008598339004, 4.7245827620195, 6.142119288379581], "0bda0c06-7b29-40a4-944c-458abbaef794": [5.812406944197704, 6.967527002470389, 8.097747082684073], "41d61c5a-2ca1-48fe-9364-cfba2673f270": [31.0, 31.0, 31.0], "62c0ea9f-8907-441d-8cb6-88c11d013258": [5.959341546871755, 7.0260378950234506, 8.49354380587186], "6cc7934a-31e1-4b45-b1db-512a30303844": [31.0, 31.0, 31.0], "6e4f41fd-d569-4aac-a2d7-3ec77844f2b1": [31.0, 31.0, 31.0], "88cf249d-529a-4365-b492-c3565f15a459": [8.683503419072274, 9.520233871578768, 10.437076404605017], "8d4abdd2-c4bc-49fc-9557-4adc04e3bef1": [31.0, 31.0, 31.0], "ace5b4b1-5454-45e5-bc28-1114e9e7aea7": [25.686334657428922, 31.0, 31.0], "de2872c9-54b3-48b4-ab9d-3cd6b9c77b26": [10.183503419072276, 11.0, 12.031899021884458], "fd727abb-b605-40d6-952a-9cc68eabec7b": [16.458583289775866, 20.487023984001283, 26.365334295823423], "ffe897d0-cadf-431c-9bb2-d6186cc22c9c": [12.836281089064189, 14.052075790046901, 16.227466673564816]}}
3.1	4	{"mass_kg": 96.0, "session": "e4e0d844-2578-4141-8511-1e224e26d91f", "standing": "de2872c9-54b3-48b4-ab9d-3cd6b9c77b26", "stature_m": 1.88}	2026-01-30 09:25:00+00	Europe/Lisbon	2026-01-30	975b9c47-7ce9-4833-a6f8-38cc9f2ae6e3	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	0bda0c06-7b29-40a4-944c-458abbaef794	{"reach": {"low": 71.23002610297914, "high": 76.12428980150516, "unit": "kg", "likely": 73.66122114982038, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-26", "unit": "kg", "value": 73.66122114982038}, {"name": "from the set of 2026-01-28", "unit": "kg", "value": 72.77771717767466}, {"name": "from the set of 2026-01-30", "unit": "kg", "value": 74.55278345030084}, {"name": "one-rep load", "unit": "kg", "value": 90.8492280655548}, {"name": "reps", "unit": "reps", "value": 7.0}, {"name": "seconds a rep", "unit": "s", "value": 2.0}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: The heaviest load at which the prediction from the same test still gives this many reps; found by halving. The range joins how far people differ in endurance, the test's scatter and the load's range.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 83.69832225414837, "high": 98.21107012228143, "unit": "kg", "likely": 90.8492280655548, "derivation": {"note": "", "inputs": [{"name": "from the set of 2026-01-26", "unit": "kg", "value": 90.8492280655548}, {"name": "from the set of 2026-01-28", "unit": "kg", "value": 89.7595685050781}, {"name": "from the set of 2026-01-30", "unit": "kg", "value": 91.94882627349463}, {"name": "load", "unit": "kg", "value": 68.1369210491661}, {"name": "reps", "unit": "reps", "value": 9.0}, {"name": "effort", "unit": "of 10", "value": 9.0}, {"name": "reps to failure", "unit": "reps", "value": 10.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 10.0}, {"name": "Epley 1985", "unit": "kg", "value": 90.8492280655548}, {"name": "Brzycki 1993", "unit": "kg", "value": 90.8492280655548}, {"name": "Lander 1985", "unit": "kg", "value": 91.35141725668724}, {"name": "Lombardi 1989", "unit": "kg", "value": 85.7793013902081}, {"name": "Mayhew 1992", "unit": "kg", "value": 89.21458251161644}, {"name": "O'Conner 1989", "unit": "kg", "value": 85.17115131145763}, {"name": "Wathan 1994", "unit": "kg", "value": 91.81225224219308}], "formula": "The middle of 3 days' evidence, whose scatter shrinks by their number's root. Of the nearest: Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 85.17115131145763, "spread_high": 91.81225224219308}, "narrower": "The estimate rests on a rated effort: test “Feet on riser 40, sandbag 5” to the end.", "predictions": {"0593dfa7-a9c2-4fc8-aff3-755063018024": [3.452990466863918, 5.146130840072689, 6.32993122825894], "0bda0c06-7b29-40a4-944c-458abbaef794": [6.272204932528402, 7.41630388382476, 8.337023935961886], "41d61c5a-2ca1-48fe-9364-cfba2673f270": [31.0, 31.0, 31.0], "62c0ea9f-8907-441d-8cb6-88c11d013258": [6.075094979783206, 7.311512537717303, 8.866626654406902], "6cc7934a-31e1-4b45-b1db-512a30303844": [31.0, 31.0, 31.0], "6e4f41fd-d569-4aac-a2d7-3ec77844f2b1": [31.0, 31.0, 31.0], "88cf249d-529a-4365-b492-c3565f15a459": [9.183503419072274, 10.0, 10.816496580927726], "8d4abdd2-c4bc-49fc-9557-4adc04e3bef1": [31.0, 31.0, 31.0], "ace5b4b1-5454-45e5-bc28-1114e9e7aea7": [26.15005563075681, 31.0, 31.0], "de2872c9-54b3-48b4-ab9d-3cd6b9c77b26": [10.519499958306186, 11.497730133105721, 12.57290840574924], "fd727abb-b605-40d6-952a-9cc68eabec7b": [16.57366061754258, 21.521426417715183, 26.69635763592831], "ffe897d0-cadf-431c-9bb2-d6186cc22c9c": [12.953624687971807, 14.623025075434606, 16.872354418818404]}}
3.1	4	{"mass_kg": 71.0, "standing": "c1725480-b70b-47b4-ae49-63c539ed91b4", "stature_m": 1.75, "drawn anew": "doses anew: wave, skill"}	2026-02-02 09:00:00+00	Europe/Lisbon	2026-02-02	bf6b300b-4081-4b0a-834a-9b3c5249fe94	2479a62a-1333-473a-a4b2-150132f809e5	c1725480-b70b-47b4-ae49-63c539ed91b4	{"reach": {"low": 53.354518565317974, "high": 66.0338140793191, "unit": "N·m", "likely": 59.35553760234432, "derivation": {"note": "", "inputs": [{"name": "greatest torque", "unit": "N·m", "value": 63.91611597868715}, {"name": "seconds", "unit": "s", "value": 11.428571428571429}, {"name": "share of capacity", "unit": "", "value": 0.9286474419399395}], "formula": "The greatest torque × the share that can be held for this long.", "sources": ["Rohmert 1960: T[min] = −1.5 + 2.1/f − 0.6/f² + 0.1/f³"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 57.45400908428787, "high": 71.10751733873818, "unit": "N·m", "likely": 63.91611597868715, "derivation": {"note": "", "inputs": [{"name": "torque held", "unit": "N·m", "value": 55.15980758958973}, {"name": "for", "unit": "s", "value": 17.0}, {"name": "share of capacity", "unit": "", "value": 0.8630031212782514}], "formula": "Torque held ÷ the share of capacity that Rohmert's curve gives for that time. The range joins the test's own scatter, how far people differ in endurance and the torque's own range.", "sources": ["Rohmert 1960: T[min] = −1.5 + 2.1/f − 0.6/f² + 0.1/f³"]}, "spread_low": null, "spread_high": null}, "narrower": "A second test on another day, on “Shins tucked back”, would narrow it most.", "predictions": {"039afc87-45fb-40b7-974a-12f1b585f8f0": [0.0, 0.0, 0.0], "04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f": [0.0, 0.0, 1.4957905867928563], "11d753a6-d60c-440c-9bbd-81e3b3b5a3f5": [20.843845777325143, 24.722027662284873, 29.114046181742907], "246796d1-5460-4269-8ed8-ad072406bb16": [6.666928473586397, 9.697143198892203, 12.817962580954934], "c1725480-b70b-47b4-ae49-63c539ed91b4": [14.960000000024714, 16.999999999967493, 19.039999999984524], "debd6f57-49ae-4711-8e97-522ea603fb29": [0.0, 3.2393103950683244, 7.78538997886621], "e50b6299-723b-4413-b5a5-62da5697b256": [0.0, 0.0, 0.0], "f784ca51-1ac0-4043-935b-8fe93f4df5d6": [27.34913127865571, 35.77759825554003, 46.49943438134609]}}
\.


--
-- Data for Name: readiness; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.readiness (at, zone, local_date, id, athlete_id, "check", passed, word) FROM stdin;
2026-01-20 09:00:00+00	Europe/Lisbon	2026-01-20	a206b196-7cd8-48cb-9641-f8a7148b6422	c960d61a-6a28-40ed-a3c7-559def367133	one-leg stand	t	
2026-01-20 09:00:00+00	Europe/Lisbon	2026-01-20	260d177d-a2f3-457e-8240-ce4911ea6f3d	c960d61a-6a28-40ed-a3c7-559def367133	ankle	t	
2026-01-20 09:00:00+00	Europe/Lisbon	2026-01-20	c359d461-3ab0-404b-b6d6-45442cdfdbd5	c960d61a-6a28-40ed-a3c7-559def367133	hip	t	
2026-01-20 09:00:00+00	Europe/Lisbon	2026-01-20	2c051e5f-86cf-4a85-af1a-ffc43a621b2f	c960d61a-6a28-40ed-a3c7-559def367133	shoulder	t	
2026-01-20 09:00:00+00	Europe/Lisbon	2026-01-20	3abc8afc-8728-4691-bc1e-954f37ab774e	c960d61a-6a28-40ed-a3c7-559def367133	wrist	t	
2026-01-20 09:00:00+00	Europe/Lisbon	2026-01-20	96a0028a-d844-407b-87de-ee08dbc4f82e	c960d61a-6a28-40ed-a3c7-559def367133	flat back	f	
2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	4ee207a3-4ca1-4e59-96a7-0138034bf402	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	one-leg stand	t	
2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	e2f5a868-31d4-46d7-b0ec-f29df3e19f3e	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	ankle	f	
2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	fcb47acf-6f7a-412e-8edd-59e9276a41cf	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	hip	t	
2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	4d94adca-782e-4df1-b536-13b254364fc6	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	shoulder	t	
2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	731c498d-f88c-458f-9716-20f426e3c3ed	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	wrist	t	
2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	ce87b523-16e8-465b-bb00-3ddaf1179e2c	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	flat back	t	
2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	18ba7731-13fa-43b8-a902-476477056b5c	3ee74815-0935-4ab4-b392-c92ff14fa517	one-leg stand	t	
2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	f900f215-129e-4b30-afa8-959c3ba985c8	3ee74815-0935-4ab4-b392-c92ff14fa517	ankle	t	
2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	aa5747e5-527f-440e-8250-69bbf7c83965	3ee74815-0935-4ab4-b392-c92ff14fa517	hip	t	
2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	8184e6ce-9c17-4dd5-9b43-2982b7e1e71d	3ee74815-0935-4ab4-b392-c92ff14fa517	shoulder	t	
2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	51a345e8-4f05-42f4-a779-7d384c4a3a1e	3ee74815-0935-4ab4-b392-c92ff14fa517	wrist	t	
2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	a983b6bd-f041-401f-9411-c4a9cd253901	3ee74815-0935-4ab4-b392-c92ff14fa517	flat back	t	
\.


--
-- Data for Name: rung; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.rung (movement, id, ladder_id, "position", name, sets, low, high, rest_s, effort, gate_sets, gate_amount, gate_effort, gate_sessions, changes, unit, why) FROM stdin;
push-up	0feb2343-e9d9-4863-9bf9-56d8cb15435b	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	0	Tailgate push-up	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.9]]}	reps	
push-up	52bae8cd-a27c-4ca9-919d-0d3a076ff337	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	1	Two-crate push-up	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.75]]}	reps	
push-up	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	2	Push-up on riser 60	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.6]]}	reps	
knee-push-up	d8145983-10fc-418a-b5ef-4f52179d9df9	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	3	Knee push-up	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
push-up	faa990b3-5277-4ee6-b98b-bbc9bcb78d83	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	4	Push-up on riser 40	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.4]]}	reps	
push-up	5b225289-6da4-46d9-9721-6b9e7e9e5e7a	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	5	Push-up on riser 20	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.2]]}	reps	
push-up	f0fbbd7a-68aa-47c8-9696-f4516640b88c	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	6	Floor push-up	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
push-up	d8d52851-3aa5-4f89-859a-b69009da14e1	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	7	Feet on riser 20	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.2]]}	reps	
push-up	13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	8	Feet on riser 40	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.4]]}	reps	
push-up	fb9f8245-64dd-47f3-a82f-8218175f9282	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9	Slow floor push-up	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 3.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
push-up	82aedb2b-cacb-4327-a024-8327c2cb7b2a	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	10	Feet on riser 40, sandbag 5	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 5.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.4]]}	reps	
push-up	fc3d4a58-f6d0-487f-aefe-23b5ef1907b8	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	11	Feet on riser 40, sandbag 10	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 10.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.4]]}	reps	
push-up	1c6c968c-00fe-487e-b620-5f2252e484a6	f3731dd1-3ec4-4d28-889d-bec6c1955933	0	Tailgate push-up	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.9]]}	reps	
push-up	9bfe35c7-fd26-471e-a489-06fac7fa1842	f3731dd1-3ec4-4d28-889d-bec6c1955933	1	Two-crate push-up	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.75]]}	reps	
push-up	30c9c125-0492-44b5-a1d7-3080542d9105	f3731dd1-3ec4-4d28-889d-bec6c1955933	2	Push-up on riser 60	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.6]]}	reps	
knee-push-up	addd7b9e-461b-425e-a516-fa10f55b03d4	f3731dd1-3ec4-4d28-889d-bec6c1955933	3	Knee push-up	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
push-up	8e7608d5-028e-4426-8409-0a3d71d7be89	f3731dd1-3ec4-4d28-889d-bec6c1955933	4	Push-up on riser 40	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.4]]}	reps	
push-up	ef91c822-bf53-497f-a969-359af5952d67	f3731dd1-3ec4-4d28-889d-bec6c1955933	5	Push-up on riser 20	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.2]]}	reps	
push-up	b6347abd-7876-4f19-89e8-aead25c32be0	f3731dd1-3ec4-4d28-889d-bec6c1955933	6	Floor push-up	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
push-up	f810615b-c31e-40d9-8cf0-3e61bee558e7	f3731dd1-3ec4-4d28-889d-bec6c1955933	7	Feet on riser 20	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.2]]}	reps	
push-up	2379d076-8cd2-4ba9-b64f-ba437bcca814	f3731dd1-3ec4-4d28-889d-bec6c1955933	8	Feet on riser 40	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.4]]}	reps	
push-up	336becf2-173d-4a31-8938-e1de78e86cd5	f3731dd1-3ec4-4d28-889d-bec6c1955933	9	Slow floor push-up	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 3.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
push-up	67292544-155f-4a93-ba0d-5ed9374ecd4e	f3731dd1-3ec4-4d28-889d-bec6c1955933	10	Feet on riser 40, sandbag 5	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 5.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.4]]}	reps	
push-up	5a607fa4-a6c5-4bfa-81ca-115ed487ea52	f3731dd1-3ec4-4d28-889d-bec6c1955933	11	Feet on riser 40, sandbag 10	3	8	12	75	9	3	12	9	2	{"band": null, "help": null, "worn": {"bag": 10.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.4]]}	reps	
row	13f738a6-0592-4b85-adea-77a0ec9d38b9	5d8bad91-eee2-4ef1-aad4-057287a1ab9f	0	Row, standing	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["body_angle", 25.0]]}	reps	
row	c0db97d6-0ab1-4614-9abd-2366db495cea	5d8bad91-eee2-4ef1-aad4-057287a1ab9f	1	Row, leaning a third	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["body_angle", 35.0]]}	reps	
row	5c15580e-caad-4ae3-af67-7dd14abef447	5d8bad91-eee2-4ef1-aad4-057287a1ab9f	2	Row, leaning half	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
row	6fe0614b-46a4-4d46-9757-0c550a2dca5f	5d8bad91-eee2-4ef1-aad4-057287a1ab9f	3	Row, leaning two thirds	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["body_angle", 58.0]]}	reps	
row	9504e0bc-cbcf-4b79-bcf6-c96d9c0f8bff	5d8bad91-eee2-4ef1-aad4-057287a1ab9f	4	Row, nearly level	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["body_angle", 72.0]]}	reps	
row	de8cbfbe-a181-4f77-9c81-c1d5cbb907d9	5d8bad91-eee2-4ef1-aad4-057287a1ab9f	5	Row, level	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["body_angle", 90.0]]}	reps	
row	be60322e-f59c-4cc3-90c7-24272b6a579b	5d8bad91-eee2-4ef1-aad4-057287a1ab9f	6	Row, level, slow	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 3.0, "press": 1.0, "bottom": 0.0}, "values": [["body_angle", 90.0]]}	reps	
row	ee1c1f25-68c5-4f7a-8800-c3f6cde7f33c	5d8bad91-eee2-4ef1-aad4-057287a1ab9f	7	Row, level, bag 6 kg	2	6	10	120	9	2	10	9	2	{"band": null, "help": null, "worn": {"bag": 6.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 3.0, "press": 1.0, "bottom": 0.0}, "values": [["body_angle", 90.0]]}	reps	
push-up	62c0ea9f-8907-441d-8cb6-88c11d013258	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	9	Slow floor push-up	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 3.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
push-up	8d4abdd2-c4bc-49fc-9557-4adc04e3bef1	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	0	Tailgate push-up	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.9]]}	reps	
push-up	6cc7934a-31e1-4b45-b1db-512a30303844	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	1	Two-crate push-up	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.75]]}	reps	
push-up	41d61c5a-2ca1-48fe-9364-cfba2673f270	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	2	Push-up on riser 60	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.6]]}	reps	
knee-push-up	6e4f41fd-d569-4aac-a2d7-3ec77844f2b1	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	3	Knee push-up	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
push-up	ace5b4b1-5454-45e5-bc28-1114e9e7aea7	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	4	Push-up on riser 40	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.4]]}	reps	
push-up	fd727abb-b605-40d6-952a-9cc68eabec7b	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	5	Push-up on riser 20	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.2]]}	reps	
push-up	ffe897d0-cadf-431c-9bb2-d6186cc22c9c	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	6	Floor push-up	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	reps	
push-up	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	7	Feet on riser 20	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.2]]}	reps	
push-up	88cf249d-529a-4365-b492-c3565f15a459	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	8	Feet on riser 40	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.4]]}	reps	
push-up	0bda0c06-7b29-40a4-944c-458abbaef794	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	10	Feet on riser 40, sandbag 5	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 5.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.4]]}	reps	
push-up	0593dfa7-a9c2-4fc8-aff3-755063018024	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	11	Feet on riser 40, sandbag 10	4	6	10	120	9	4	10	9	2	{"band": null, "help": null, "worn": {"bag": 10.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.4]]}	reps	
l-sit	039afc87-45fb-40b7-974a-12f1b585f8f0	2479a62a-1333-473a-a4b2-150132f809e5	6	Shins half out	3	8	12	120	8	3	8	9	1	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["knee", 45.0]]}	s	
l-sit	04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f	2479a62a-1333-473a-a4b2-150132f809e5	5	Shins a quarter out	3	8	12	120	8	3	8	9	1	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 72.0]]}	s	
l-sit	11d753a6-d60c-440c-9bbd-81e3b3b5a3f5	2479a62a-1333-473a-a4b2-150132f809e5	1	Tuck, thighs nearly level	3	8	12	120	8	3	8	9	1	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 85.0], ["knee", 125.0]]}	s	
l-sit	246796d1-5460-4269-8ed8-ad072406bb16	2479a62a-1333-473a-a4b2-150132f809e5	3	Shins tucked back	3	8	12	120	8	3	8	9	1	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 105.0]]}	s	
l-sit	c1725480-b70b-47b4-ae49-63c539ed91b4	2479a62a-1333-473a-a4b2-150132f809e5	2	Tuck, thighs level	3	8	12	120	8	3	8	9	1	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 120.0]]}	s	
l-sit	debd6f57-49ae-4711-8e97-522ea603fb29	2479a62a-1333-473a-a4b2-150132f809e5	4	Shins hanging	3	8	12	120	8	3	8	9	1	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 90.0]]}	s	
l-sit	e50b6299-723b-4413-b5a5-62da5697b256	2479a62a-1333-473a-a4b2-150132f809e5	7	L-sit	3	8	12	120	8	3	8	9	1	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45]]}	s	
l-sit	f784ca51-1ac0-4043-935b-8fe93f4df5d6	2479a62a-1333-473a-a4b2-150132f809e5	0	Tuck, thighs sloping	3	8	12	120	8	3	8	9	1	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 75.0], ["knee", 130.0]]}	s	
\.


--
-- Data for Name: screening; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.screening (model_version, catalogue_version, inputs, at, zone, local_date, id, athlete_id, outcome, findings) FROM stdin;
3.1	4	{"lax": false, "born": "1999-03-14", "pains": {}, "signs": [], "active": false, "diseases": [], "pregnant": false, "medicines": [], "operated_weeks": null}	2026-01-20 09:00:00+00	Europe/Lisbon	2026-01-20	69f7c4f0-246a-4fb1-ba3c-1de8700c9ce1	c960d61a-6a28-40ed-a3c7-559def367133	go	[]
3.1	4	{"lax": false, "born": "1992-03-14", "pains": {}, "signs": [], "active": true, "diseases": [], "pregnant": false, "medicines": [], "operated_weeks": null}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	f7adc26f-e13e-4227-a7ae-376cc73b98cf	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	go	[]
3.1	4	{"lax": false, "born": "1985-03-14", "pains": {"wrist": 3}, "signs": [], "active": true, "diseases": [], "pregnant": false, "medicines": [], "operated_weeks": null}	2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	22e10163-9ca7-40bc-9303-afd6492d7632	3ee74815-0935-4ab4-b392-c92ff14fa517	go	[]
\.


--
-- Data for Name: sign_in; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.sign_in (token_hash, account_id, created_at, expires_at) FROM stdin;
\.


--
-- Data for Name: sign_in_attempt; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.sign_in_attempt (id, key, at) FROM stdin;
\.


--
-- Data for Name: sketch; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.sketch (id, ladder_id, number, at, word, document) FROM stdin;
cbb43d0f-2a41-424c-b35d-28a0ffbc74a4	2479a62a-1333-473a-a4b2-150132f809e5	0	2026-02-02 09:00:00+00	as it was	{"ties": [["039afc87-45fb-40b7-974a-12f1b585f8f0", "e50b6299-723b-4413-b5a5-62da5697b256"], ["04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f", "039afc87-45fb-40b7-974a-12f1b585f8f0"], ["11d753a6-d60c-440c-9bbd-81e3b3b5a3f5", "c1725480-b70b-47b4-ae49-63c539ed91b4"], ["246796d1-5460-4269-8ed8-ad072406bb16", "debd6f57-49ae-4711-8e97-522ea603fb29"], ["c1725480-b70b-47b4-ae49-63c539ed91b4", "246796d1-5460-4269-8ed8-ad072406bb16"], ["debd6f57-49ae-4711-8e97-522ea603fb29", "04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f"], ["f784ca51-1ac0-4043-935b-8fe93f4df5d6", "11d753a6-d60c-440c-9bbd-81e3b3b5a3f5"]], "rungs": [{"id": "f784ca51-1ac0-4043-935b-8fe93f4df5d6", "low": 8, "why": "", "high": 15, "name": "Tuck, thighs sloping", "sets": 2, "unit": "s", "effort": 9.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 75.0], ["knee", 130.0]]}, "movement": "l-sit", "gate_sets": 2, "gate_amount": 15, "gate_effort": 9.0, "gate_sessions": 2}, {"id": "11d753a6-d60c-440c-9bbd-81e3b3b5a3f5", "low": 8, "why": "", "high": 15, "name": "Tuck, thighs nearly level", "sets": 2, "unit": "s", "effort": 9.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 85.0], ["knee", 125.0]]}, "movement": "l-sit", "gate_sets": 2, "gate_amount": 15, "gate_effort": 9.0, "gate_sessions": 2}, {"id": "c1725480-b70b-47b4-ae49-63c539ed91b4", "low": 8, "why": "", "high": 15, "name": "Tuck, thighs level", "sets": 2, "unit": "s", "effort": 9.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 120.0]]}, "movement": "l-sit", "gate_sets": 2, "gate_amount": 15, "gate_effort": 9.0, "gate_sessions": 2}, {"id": "246796d1-5460-4269-8ed8-ad072406bb16", "low": 8, "why": "", "high": 15, "name": "Shins tucked back", "sets": 2, "unit": "s", "effort": 9.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 105.0]]}, "movement": "l-sit", "gate_sets": 2, "gate_amount": 15, "gate_effort": 9.0, "gate_sessions": 2}, {"id": "debd6f57-49ae-4711-8e97-522ea603fb29", "low": 8, "why": "", "high": 15, "name": "Shins hanging", "sets": 2, "unit": "s", "effort": 9.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 90.0]]}, "movement": "l-sit", "gate_sets": 2, "gate_amount": 15, "gate_effort": 9.0, "gate_sessions": 2}, {"id": "04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f", "low": 8, "why": "", "high": 15, "name": "Shins a quarter out", "sets": 2, "unit": "s", "effort": 9.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 72.0]]}, "movement": "l-sit", "gate_sets": 2, "gate_amount": 15, "gate_effort": 9.0, "gate_sessions": 2}, {"id": "039afc87-45fb-40b7-974a-12f1b585f8f0", "low": 8, "why": "", "high": 15, "name": "Shins half out", "sets": 2, "unit": "s", "effort": 9.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["knee", 45.0]]}, "movement": "l-sit", "gate_sets": 2, "gate_amount": 15, "gate_effort": 9.0, "gate_sessions": 2}, {"id": "e50b6299-723b-4413-b5a5-62da5697b256", "low": 8, "why": "", "high": 15, "name": "L-sit", "sets": 2, "unit": "s", "effort": 9.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45]]}, "movement": "l-sit", "gate_sets": 2, "gate_amount": 15, "gate_effort": 9.0, "gate_sessions": 2}]}
2e448ad4-9b85-49b5-800d-961376f31f98	2479a62a-1333-473a-a4b2-150132f809e5	1	2026-02-02 09:00:00+00	doses anew: wave, skill	{"ties": [["039afc87-45fb-40b7-974a-12f1b585f8f0", "e50b6299-723b-4413-b5a5-62da5697b256"], ["04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f", "039afc87-45fb-40b7-974a-12f1b585f8f0"], ["11d753a6-d60c-440c-9bbd-81e3b3b5a3f5", "c1725480-b70b-47b4-ae49-63c539ed91b4"], ["246796d1-5460-4269-8ed8-ad072406bb16", "debd6f57-49ae-4711-8e97-522ea603fb29"], ["c1725480-b70b-47b4-ae49-63c539ed91b4", "246796d1-5460-4269-8ed8-ad072406bb16"], ["debd6f57-49ae-4711-8e97-522ea603fb29", "04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f"], ["f784ca51-1ac0-4043-935b-8fe93f4df5d6", "11d753a6-d60c-440c-9bbd-81e3b3b5a3f5"]], "rungs": [{"id": "f784ca51-1ac0-4043-935b-8fe93f4df5d6", "low": 8, "why": "", "high": 12, "name": "Tuck, thighs sloping", "sets": 3, "unit": "s", "effort": 8.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 75.0], ["knee", 130.0]]}, "movement": "l-sit", "gate_sets": 3, "gate_amount": 8, "gate_effort": 9.0, "gate_sessions": 1}, {"id": "11d753a6-d60c-440c-9bbd-81e3b3b5a3f5", "low": 8, "why": "", "high": 12, "name": "Tuck, thighs nearly level", "sets": 3, "unit": "s", "effort": 8.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 85.0], ["knee", 125.0]]}, "movement": "l-sit", "gate_sets": 3, "gate_amount": 8, "gate_effort": 9.0, "gate_sessions": 1}, {"id": "c1725480-b70b-47b4-ae49-63c539ed91b4", "low": 8, "why": "", "high": 12, "name": "Tuck, thighs level", "sets": 3, "unit": "s", "effort": 8.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 120.0]]}, "movement": "l-sit", "gate_sets": 3, "gate_amount": 8, "gate_effort": 9.0, "gate_sessions": 1}, {"id": "246796d1-5460-4269-8ed8-ad072406bb16", "low": 8, "why": "", "high": 12, "name": "Shins tucked back", "sets": 3, "unit": "s", "effort": 8.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 105.0]]}, "movement": "l-sit", "gate_sets": 3, "gate_amount": 8, "gate_effort": 9.0, "gate_sessions": 1}, {"id": "debd6f57-49ae-4711-8e97-522ea603fb29", "low": 8, "why": "", "high": 12, "name": "Shins hanging", "sets": 3, "unit": "s", "effort": 8.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 90.0]]}, "movement": "l-sit", "gate_sets": 3, "gate_amount": 8, "gate_effort": 9.0, "gate_sessions": 1}, {"id": "04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f", "low": 8, "why": "", "high": 12, "name": "Shins a quarter out", "sets": 3, "unit": "s", "effort": 8.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 72.0]]}, "movement": "l-sit", "gate_sets": 3, "gate_amount": 8, "gate_effort": 9.0, "gate_sessions": 1}, {"id": "039afc87-45fb-40b7-974a-12f1b585f8f0", "low": 8, "why": "", "high": 12, "name": "Shins half out", "sets": 3, "unit": "s", "effort": 8.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["knee", 45.0]]}, "movement": "l-sit", "gate_sets": 3, "gate_amount": 8, "gate_effort": 9.0, "gate_sessions": 1}, {"id": "e50b6299-723b-4413-b5a5-62da5697b256", "low": 8, "why": "", "high": 12, "name": "L-sit", "sets": 3, "unit": "s", "effort": 8.0, "rest_s": 120, "changes": {"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45]]}, "movement": "l-sit", "gate_sets": 3, "gate_amount": 8, "gate_effort": 9.0, "gate_sessions": 1}]}
\.


--
-- Data for Name: test; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.test (movement, model_version, catalogue_version, inputs, at, zone, local_date, id, athlete_id, amount, effort, result, changes, side) FROM stdin;
push-up	3.1	4	{"lengths": {}, "mass_kg": 58.0, "segments": "winter", "stature_m": 1.66}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	984bb649-570c-4f9d-b228-f0b2cbcf1899	c960d61a-6a28-40ed-a3c7-559def367133	9	10	{"load": {"low": 21.12589946368735, "high": 23.321943985293434, "unit": "kg", "likely": 22.21453624870186, "derivation": {"note": "", "inputs": [{"name": "body mass", "unit": "kg", "value": 58.0}, {"name": "stature", "unit": "m", "value": 1.66}, {"name": "surface under the hands", "unit": "m", "value": 0.6}, {"name": "surface under the feet", "unit": "m", "value": 0.0}, {"name": "hands towards the feet", "unit": "m", "value": 0.0}, {"name": "arms out to the sides", "unit": "°", "value": 0.0}, {"name": "depth below the hands", "unit": "m", "value": 0.0}, {"name": "share of the working hand", "unit": "%", "value": 50.0}], "formula": "The weight of the body and what it carries, balanced on what it touches; locked arms push along the line from hand to shoulder, bent arms straight up. The upward part of the hands' force ÷ 9.80665 m/s². The range lets limb lengths, segment masses and how exactly it is set up differ as they do between people.", "sources": ["Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres after Dempster; lengths after Drillis and Contini 1966)", "plane statics"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 26.174479172881725, "high": 31.17283489261843, "unit": "kg", "likely": 28.575050801315292, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 22.21453624870186}, {"name": "reps", "unit": "reps", "value": 9}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 9.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 9.0}, {"name": "Epley 1985", "unit": "kg", "value": 28.87889712331242}, {"name": "Brzycki 1993", "unit": "kg", "value": 28.561546605473826}, {"name": "Lander 1985", "unit": "kg", "value": 28.753357377201397}, {"name": "Lombardi 1989", "unit": "kg", "value": 27.67333511421834}, {"name": "Mayhew 1992", "unit": "kg", "value": 28.575050801315292}, {"name": "O'Conner 1989", "unit": "kg", "value": 27.212806904659782}, {"name": "Wathan 1994", "unit": "kg", "value": 29.155760205520128}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 27.212806904659782, "spread_high": 29.155760205520128}}	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.6]]}	
push-up	3.1	4	{"lengths": {}, "mass_kg": 71.0, "segments": "winter", "stature_m": 1.75}	2026-01-18 09:00:00+00	Europe/Lisbon	2026-01-18	75f3c0c5-ba95-4d4c-8d62-87a862d37c64	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	12	10	{"load": {"low": 44.091437060424845, "high": 46.67271948753218, "unit": "kg", "likely": 45.33679028610494, "derivation": {"note": "", "inputs": [{"name": "body mass", "unit": "kg", "value": 71.0}, {"name": "stature", "unit": "m", "value": 1.75}, {"name": "surface under the hands", "unit": "m", "value": 0.0}, {"name": "surface under the feet", "unit": "m", "value": 0.0}, {"name": "hands towards the feet", "unit": "m", "value": 0.0}, {"name": "arms out to the sides", "unit": "°", "value": 0.0}, {"name": "depth below the hands", "unit": "m", "value": 0.0}, {"name": "share of the working hand", "unit": "%", "value": 50.0}], "formula": "The weight of the body and what it carries, balanced on what it touches; locked arms push along the line from hand to shoulder, bent arms straight up. The upward part of the hands' force ÷ 9.80665 m/s². The range lets limb lengths, segment masses and how exactly it is set up differ as they do between people.", "sources": ["Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres after Dempster; lengths after Drillis and Contini 1966)", "plane statics"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 57.74192979478365, "high": 69.67344549831203, "unit": "kg", "likely": 63.471506400546915, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 45.33679028610494}, {"name": "reps", "unit": "reps", "value": 12}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 12.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 12.0}, {"name": "Epley 1985", "unit": "kg", "value": 63.471506400546915}, {"name": "Brzycki 1993", "unit": "kg", "value": 65.28497801199111}, {"name": "Lander 1985", "unit": "kg", "value": 65.47278958973202}, {"name": "Lombardi 1989", "unit": "kg", "value": 58.12579350135287}, {"name": "Mayhew 1992", "unit": "kg", "value": 61.38532651995305}, {"name": "O'Conner 1989", "unit": "kg", "value": 58.93782737193643}, {"name": "Wathan 1994", "unit": "kg", "value": 64.14967963976314}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 58.12579350135287, "spread_high": 65.47278958973202}}	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	
row	3.1	4	{"lengths": {}, "mass_kg": 71.0, "segments": "winter", "stature_m": 1.75}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	df988890-8a4b-496e-a8de-312d8212ae06	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	9	10	{"load": {"low": 33.40876658823127, "high": 36.930353881163825, "unit": "kg", "likely": 35.202968514719466, "derivation": {"note": "", "inputs": [{"name": "body mass", "unit": "kg", "value": 71.0}, {"name": "stature", "unit": "m", "value": 1.75}, {"name": "lean from upright", "unit": "°", "value": 45.0}, {"name": "knee bend", "unit": "°", "value": 0.0}, {"name": "surface under the heels", "unit": "m", "value": 0.0}, {"name": "straps' anchor above the floor (0: a bar)", "unit": "m", "value": 0.0}, {"name": "anchor beyond the heels", "unit": "m", "value": 0.0}, {"name": "share of the working hand", "unit": "%", "value": 50.0}], "formula": "The weight of the body and what it carries, balanced on what it touches; the hands pull at right angles to the trunk. The part of the hands' force along the arms ÷ 9.80665 m/s². The range lets limb lengths, segment masses and how exactly it is set up differ as they do between people.", "sources": ["Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres after Dempster; lengths after Drillis and Contini 1966)", "plane statics"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 41.42572348902539, "high": 49.379727546721035, "unit": "kg", "likely": 45.282359370612305, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 35.202968514719466}, {"name": "reps", "unit": "reps", "value": 9}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 9.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 9.0}, {"name": "Epley 1985", "unit": "kg", "value": 45.76385906913531}, {"name": "Brzycki 1993", "unit": "kg", "value": 45.26095951892503}, {"name": "Lander 1985", "unit": "kg", "value": 45.56491853397331}, {"name": "Lombardi 1989", "unit": "kg", "value": 43.85342704509696}, {"name": "Mayhew 1992", "unit": "kg", "value": 45.282359370612305}, {"name": "O'Conner 1989", "unit": "kg", "value": 43.12363643053135}, {"name": "Wathan 1994", "unit": "kg", "value": 46.20259892202851}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 43.12363643053135, "spread_high": 46.20259892202851}}	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	
l-sit	3.1	4	{"lengths": {}, "mass_kg": 71.0, "segments": "winter", "stature_m": 1.75}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	b3d9d099-35fa-419b-ad65-b7f0d754f4c6	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	17	10	{"load": {"low": 50.103931895061265, "high": 60.095019490291655, "unit": "N·m", "likely": 55.15980758958973, "derivation": {"note": "The hip holds the legs; what the arms push is told beside it. Raised past level the legs weigh less on the hip while it works near the end of its range, which this torque does not show.", "inputs": [{"name": "body mass", "unit": "kg", "value": 71.0}, {"name": "stature", "unit": "m", "value": 1.75}, {"name": "legs raised from hanging", "unit": "°", "value": 95.0}, {"name": "knee bend", "unit": "°", "value": 120.0}, {"name": "each leg out to the side", "unit": "°", "value": 0.0}, {"name": "second leg stretched out", "unit": "%", "value": 0.0}, {"name": "trunk leaning forwards", "unit": "°", "value": 0.0}, {"name": "surface under the hands", "unit": "m", "value": 0.45}], "formula": "The weight of the body and what it carries, balanced on what it touches; one support carries the whole weight. Moment of weight and contact forces about the hip, of everything beyond it, both sides together. The range lets limb lengths, segment masses and how exactly it is set up differ as they do between people.", "sources": ["Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres after Dempster; lengths after Drillis and Contini 1966)", "plane statics"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 57.45400908428787, "high": 71.10751733873818, "unit": "N·m", "likely": 63.91611597868715, "derivation": {"note": "", "inputs": [{"name": "torque held", "unit": "N·m", "value": 55.15980758958973}, {"name": "for", "unit": "s", "value": 17}, {"name": "share of capacity", "unit": "", "value": 0.8630031212782514}], "formula": "Torque held ÷ the share of capacity that Rohmert's curve gives for that time. The range joins the test's own scatter, how far people differ in endurance and the torque's own range.", "sources": ["Rohmert 1960: T[min] = −1.5 + 2.1/f − 0.6/f² + 0.1/f³"]}, "spread_low": null, "spread_high": null}}	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["hand_height", 0.45], ["hip", 95.0], ["knee", 120.0]]}	
split-squat	3.1	4	{"lengths": {}, "mass_kg": 71.0, "segments": "winter", "stature_m": 1.75}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	f9785795-b575-41d9-9dd8-382e0b56b64f	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	11	10	{"load": {"low": 54.815775118007, "high": 63.09121228105208, "unit": "kg", "likely": 59.18726929074936, "derivation": {"note": "Both feet are taken to push straight up. The front leg's part follows from where the trunk is: published front-leg shares are higher than ours, so trust the comparison more than the figure.", "inputs": [{"name": "body mass", "unit": "kg", "value": 71.0}, {"name": "stature", "unit": "m", "value": 1.75}, {"name": "rear foot behind the front ankle", "unit": "m", "value": 0.65}, {"name": "surface under the rear foot", "unit": "m", "value": 0.0}, {"name": "front knee bend at the bottom", "unit": "°", "value": 92.0}, {"name": "front shank leaning ahead at the bottom", "unit": "°", "value": 5.0}, {"name": "trunk leaning forwards", "unit": "°", "value": 0.0}, {"name": "surface under the front foot", "unit": "m", "value": 0.0}], "formula": "The weight of the body and what it carries, balanced on what it touches; the rear push straight up. The working foot's force ÷ 9.80665 m/s², less the mass of that shank and foot; one leg's load counts twice, so that it compares with two. The range lets limb lengths, segment masses and how exactly it is set up differ as they do between people.", "sources": ["Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres after Dempster; lengths after Drillis and Contini 1966)", "plane statics"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 72.03926671306759, "high": 89.71099809566263, "unit": "kg", "likely": 80.8892680306908, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 59.18726929074936}, {"name": "reps", "unit": "reps", "value": 11}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 11.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 11.0}, {"name": "Epley 1985", "unit": "kg", "value": 80.8892680306908}, {"name": "Brzycki 1993", "unit": "kg", "value": 81.95160363334527}, {"name": "Lander 1985", "unit": "kg", "value": 82.30002013551189}, {"name": "Lombardi 1989", "unit": "kg", "value": 75.22593112303419}, {"name": "Mayhew 1992", "unit": "kg", "value": 78.8317269139641}, {"name": "O'Conner 1989", "unit": "kg", "value": 75.46376834570543}, {"name": "Wathan 1994", "unit": "kg", "value": 81.77630249726951}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 75.22593112303419, "spread_high": 82.30002013551189}}	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	left
split-squat	3.1	4	{"lengths": {}, "mass_kg": 71.0, "segments": "winter", "stature_m": 1.75}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	82e9966b-d826-4a90-ab08-39b4f99d9f17	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	15	10	{"load": {"low": 54.815775118007, "high": 63.09121228105208, "unit": "kg", "likely": 59.18726929074936, "derivation": {"note": "Both feet are taken to push straight up. The front leg's part follows from where the trunk is: published front-leg shares are higher than ours, so trust the comparison more than the figure.", "inputs": [{"name": "body mass", "unit": "kg", "value": 71.0}, {"name": "stature", "unit": "m", "value": 1.75}, {"name": "rear foot behind the front ankle", "unit": "m", "value": 0.65}, {"name": "surface under the rear foot", "unit": "m", "value": 0.0}, {"name": "front knee bend at the bottom", "unit": "°", "value": 92.0}, {"name": "front shank leaning ahead at the bottom", "unit": "°", "value": 5.0}, {"name": "trunk leaning forwards", "unit": "°", "value": 0.0}, {"name": "surface under the front foot", "unit": "m", "value": 0.0}], "formula": "The weight of the body and what it carries, balanced on what it touches; the rear push straight up. The working foot's force ÷ 9.80665 m/s², less the mass of that shank and foot; one leg's load counts twice, so that it compares with two. The range lets limb lengths, segment masses and how exactly it is set up differ as they do between people.", "sources": ["Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres after Dempster; lengths after Drillis and Contini 1966)", "plane statics"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 77.58278772766776, "high": 100.13119099823408, "unit": "kg", "likely": 88.78090393612405, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 59.18726929074936}, {"name": "reps", "unit": "reps", "value": 15}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 15.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 15.0}, {"name": "Epley 1985", "unit": "kg", "value": 88.78090393612405}, {"name": "Brzycki 1993", "unit": "kg", "value": 96.85189520304442}, {"name": "Lander 1985", "unit": "kg", "value": 96.66139317190135}, {"name": "Lombardi 1989", "unit": "kg", "value": 77.59565963685655}, {"name": "Mayhew 1992", "unit": "kg", "value": 83.87975192240685}, {"name": "O'Conner 1989", "unit": "kg", "value": 81.38249527478037}, {"name": "Wathan 1994", "unit": "kg", "value": 89.31729527677065}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 77.59565963685655, "spread_high": 96.85189520304442}}	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	right
side-plank	3.1	4	{"lengths": {}, "mass_kg": 71.0, "segments": "winter", "stature_m": 1.75}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	986da7f8-3ec0-4c10-85af-3a27f8b4cdf9	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	52	10	{"load": {"low": 82.01582859311071, "high": 89.37972005055177, "unit": "N·m", "likely": 85.69740363757832, "derivation": {"note": "Drawn as a line on one forearm and the feet; the torque is the trunk's, held sideways. The foot on its edge lies a few centimetres lower than drawn.", "inputs": [{"name": "body mass", "unit": "kg", "value": 71.0}, {"name": "stature", "unit": "m", "value": 1.75}, {"name": "surface under the forearm", "unit": "m", "value": 0.0}, {"name": "surface under the feet", "unit": "m", "value": 0.0}], "formula": "The weight of the body and what it carries, balanced on what it touches; the arms push along the line from hand to shoulder. Moment of weight and contact forces about the hip, of everything beyond it, both sides together. The range lets limb lengths, segment masses and how exactly it is set up differ as they do between people.", "sources": ["Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres after Dempster; lengths after Drillis and Contini 1966)", "plane statics"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 123.57349047699726, "high": 205.32297646333035, "unit": "N·m", "likely": 149.33928274723655, "derivation": {"note": "", "inputs": [{"name": "torque held", "unit": "N·m", "value": 85.69740363757832}, {"name": "for", "unit": "s", "value": 52}, {"name": "share of capacity", "unit": "", "value": 0.5738436803839819}], "formula": "Torque held ÷ the share of capacity that Rohmert's curve gives for that time. The range joins the test's own scatter, how far people differ in endurance and the torque's own range.", "sources": ["Rohmert 1960: T[min] = −1.5 + 2.1/f − 0.6/f² + 0.1/f³"]}, "spread_low": null, "spread_high": null}}	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	left
side-plank	3.1	4	{"lengths": {}, "mass_kg": 71.0, "segments": "winter", "stature_m": 1.75}	2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	49fe453d-ff47-474b-8e3b-7b025261c312	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	49	10	{"load": {"low": 82.01582859311071, "high": 89.37972005055177, "unit": "N·m", "likely": 85.69740363757832, "derivation": {"note": "Drawn as a line on one forearm and the feet; the torque is the trunk's, held sideways. The foot on its edge lies a few centimetres lower than drawn.", "inputs": [{"name": "body mass", "unit": "kg", "value": 71.0}, {"name": "stature", "unit": "m", "value": 1.75}, {"name": "surface under the forearm", "unit": "m", "value": 0.0}, {"name": "surface under the feet", "unit": "m", "value": 0.0}], "formula": "The weight of the body and what it carries, balanced on what it touches; the arms push along the line from hand to shoulder. Moment of weight and contact forces about the hip, of everything beyond it, both sides together. The range lets limb lengths, segment masses and how exactly it is set up differ as they do between people.", "sources": ["Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres after Dempster; lengths after Drillis and Contini 1966)", "plane statics"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 121.06404542253694, "high": 195.84929862260455, "unit": "N·m", "likely": 144.70368367085206, "derivation": {"note": "", "inputs": [{"name": "torque held", "unit": "N·m", "value": 85.69740363757832}, {"name": "for", "unit": "s", "value": 49}, {"name": "share of capacity", "unit": "", "value": 0.5922268283958034}], "formula": "Torque held ÷ the share of capacity that Rohmert's curve gives for that time. The range joins the test's own scatter, how far people differ in endurance and the torque's own range.", "sources": ["Rohmert 1960: T[min] = −1.5 + 2.1/f − 0.6/f² + 0.1/f³"]}, "spread_low": null, "spread_high": null}}	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": []}	right
push-up	3.1	4	{"lengths": {}, "mass_kg": 96.0, "segments": "winter", "stature_m": 1.88}	2026-01-17 09:00:00+00	Europe/Lisbon	2026-01-17	56da32f6-4820-4f64-974c-8d0641ab1537	3ee74815-0935-4ab4-b392-c92ff14fa517	11	10	{"load": {"low": 64.22800205586073, "high": 67.21462104815882, "unit": "kg", "likely": 65.67773305249617, "derivation": {"note": "", "inputs": [{"name": "body mass", "unit": "kg", "value": 96.0}, {"name": "stature", "unit": "m", "value": 1.88}, {"name": "surface under the hands", "unit": "m", "value": 0.0}, {"name": "surface under the feet", "unit": "m", "value": 0.2}, {"name": "hands towards the feet", "unit": "m", "value": 0.0}, {"name": "arms out to the sides", "unit": "°", "value": 0.0}, {"name": "depth below the hands", "unit": "m", "value": 0.0}, {"name": "share of the working hand", "unit": "%", "value": 50.0}], "formula": "The weight of the body and what it carries, balanced on what it touches; locked arms push along the line from hand to shoulder, bent arms straight up. The upward part of the hands' force ÷ 9.80665 m/s². The range lets limb lengths, segment masses and how exactly it is set up differ as they do between people.", "sources": ["Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres after Dempster; lengths after Drillis and Contini 1966)", "plane statics"]}, "spread_low": null, "spread_high": null}, "capacity": {"low": 82.24844396257268, "high": 97.83339468078238, "unit": "kg", "likely": 89.7595685050781, "derivation": {"note": "", "inputs": [{"name": "load", "unit": "kg", "value": 65.67773305249617}, {"name": "reps", "unit": "reps", "value": 11}, {"name": "effort", "unit": "of 10", "value": 10.0}, {"name": "reps to failure", "unit": "reps", "value": 11.0}, {"name": "tempo", "unit": "s", "value": "1-0-1-0"}, {"name": "reps of 2 s", "unit": "reps", "value": 11.0}, {"name": "Epley 1985", "unit": "kg", "value": 89.7595685050781}, {"name": "Brzycki 1993", "unit": "kg", "value": 90.93839961114854}, {"name": "Lander 1985", "unit": "kg", "value": 91.3250233951919}, {"name": "Lombardi 1989", "unit": "kg", "value": 83.47519123840202}, {"name": "Mayhew 1992", "unit": "kg", "value": 87.47639785320902}, {"name": "O'Conner 1989", "unit": "kg", "value": 83.7391096419326}, {"name": "Wathan 1994", "unit": "kg", "value": 90.74387498859119}], "formula": "Reps to failure, turned into reps of 2 s by equal time under tension; each equation that speaks gives a one-rep load, and the median is the likely one. The range joins how far people differ in endurance, the test's scatter and the load's range; the equations' disagreement is told apart.", "sources": ["Epley 1985: w (1 + r/30)", "Brzycki 1993: w · 36 / (37 − r)", "Lander 1985: 100 w / (101.3 − 2.67123 r)", "Lombardi 1989: w · r^0.10", "Mayhew 1992: 100 w / (52.2 + 41.9 e^(−0.055 r))", "O'Conner 1989: w (1 + 0.025 r)", "Wathan 1994: 100 w / (48.8 + 53.8 e^(−0.075 r))", "Zourdos 2016 (reps in reserve)", "Hoeger and others 1990 (how people differ; from memory)"]}, "spread_low": 83.47519123840202, "spread_high": 91.3250233951919}}	{"band": null, "help": null, "worn": {"bag": 0.0, "lap": 0.0, "vest": 0.0, "hands": 0.0, "ankles": 0.0}, "range": 1.0, "tempo": {"top": 0.0, "lower": 1.0, "press": 1.0, "bottom": 0.0}, "values": [["foot_height", 0.2]]}	
\.


--
-- Data for Name: tie; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.tie (lower_id, upper_id) FROM stdin;
0feb2343-e9d9-4863-9bf9-56d8cb15435b	52bae8cd-a27c-4ca9-919d-0d3a076ff337
13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791	fb9f8245-64dd-47f3-a82f-8218175f9282
52bae8cd-a27c-4ca9-919d-0d3a076ff337	9b8f894e-726b-4fcc-8ccc-e0a719ac840d
5b225289-6da4-46d9-9721-6b9e7e9e5e7a	f0fbbd7a-68aa-47c8-9696-f4516640b88c
82aedb2b-cacb-4327-a024-8327c2cb7b2a	fc3d4a58-f6d0-487f-aefe-23b5ef1907b8
9b8f894e-726b-4fcc-8ccc-e0a719ac840d	d8145983-10fc-418a-b5ef-4f52179d9df9
d8145983-10fc-418a-b5ef-4f52179d9df9	faa990b3-5277-4ee6-b98b-bbc9bcb78d83
d8d52851-3aa5-4f89-859a-b69009da14e1	13fd1f4b-fd9c-4eb6-8d6c-3ae00c75b791
f0fbbd7a-68aa-47c8-9696-f4516640b88c	d8d52851-3aa5-4f89-859a-b69009da14e1
faa990b3-5277-4ee6-b98b-bbc9bcb78d83	5b225289-6da4-46d9-9721-6b9e7e9e5e7a
fb9f8245-64dd-47f3-a82f-8218175f9282	82aedb2b-cacb-4327-a024-8327c2cb7b2a
1c6c968c-00fe-487e-b620-5f2252e484a6	9bfe35c7-fd26-471e-a489-06fac7fa1842
2379d076-8cd2-4ba9-b64f-ba437bcca814	336becf2-173d-4a31-8938-e1de78e86cd5
30c9c125-0492-44b5-a1d7-3080542d9105	addd7b9e-461b-425e-a516-fa10f55b03d4
336becf2-173d-4a31-8938-e1de78e86cd5	67292544-155f-4a93-ba0d-5ed9374ecd4e
67292544-155f-4a93-ba0d-5ed9374ecd4e	5a607fa4-a6c5-4bfa-81ca-115ed487ea52
8e7608d5-028e-4426-8409-0a3d71d7be89	ef91c822-bf53-497f-a969-359af5952d67
9bfe35c7-fd26-471e-a489-06fac7fa1842	30c9c125-0492-44b5-a1d7-3080542d9105
addd7b9e-461b-425e-a516-fa10f55b03d4	8e7608d5-028e-4426-8409-0a3d71d7be89
b6347abd-7876-4f19-89e8-aead25c32be0	f810615b-c31e-40d9-8cf0-3e61bee558e7
ef91c822-bf53-497f-a969-359af5952d67	b6347abd-7876-4f19-89e8-aead25c32be0
f810615b-c31e-40d9-8cf0-3e61bee558e7	2379d076-8cd2-4ba9-b64f-ba437bcca814
13f738a6-0592-4b85-adea-77a0ec9d38b9	c0db97d6-0ab1-4614-9abd-2366db495cea
5c15580e-caad-4ae3-af67-7dd14abef447	6fe0614b-46a4-4d46-9757-0c550a2dca5f
6fe0614b-46a4-4d46-9757-0c550a2dca5f	9504e0bc-cbcf-4b79-bcf6-c96d9c0f8bff
9504e0bc-cbcf-4b79-bcf6-c96d9c0f8bff	de8cbfbe-a181-4f77-9c81-c1d5cbb907d9
be60322e-f59c-4cc3-90c7-24272b6a579b	ee1c1f25-68c5-4f7a-8800-c3f6cde7f33c
c0db97d6-0ab1-4614-9abd-2366db495cea	5c15580e-caad-4ae3-af67-7dd14abef447
de8cbfbe-a181-4f77-9c81-c1d5cbb907d9	be60322e-f59c-4cc3-90c7-24272b6a579b
0bda0c06-7b29-40a4-944c-458abbaef794	0593dfa7-a9c2-4fc8-aff3-755063018024
41d61c5a-2ca1-48fe-9364-cfba2673f270	6e4f41fd-d569-4aac-a2d7-3ec77844f2b1
62c0ea9f-8907-441d-8cb6-88c11d013258	0bda0c06-7b29-40a4-944c-458abbaef794
6cc7934a-31e1-4b45-b1db-512a30303844	41d61c5a-2ca1-48fe-9364-cfba2673f270
6e4f41fd-d569-4aac-a2d7-3ec77844f2b1	ace5b4b1-5454-45e5-bc28-1114e9e7aea7
88cf249d-529a-4365-b492-c3565f15a459	62c0ea9f-8907-441d-8cb6-88c11d013258
8d4abdd2-c4bc-49fc-9557-4adc04e3bef1	6cc7934a-31e1-4b45-b1db-512a30303844
ace5b4b1-5454-45e5-bc28-1114e9e7aea7	fd727abb-b605-40d6-952a-9cc68eabec7b
de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	88cf249d-529a-4365-b492-c3565f15a459
fd727abb-b605-40d6-952a-9cc68eabec7b	ffe897d0-cadf-431c-9bb2-d6186cc22c9c
ffe897d0-cadf-431c-9bb2-d6186cc22c9c	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26
039afc87-45fb-40b7-974a-12f1b585f8f0	e50b6299-723b-4413-b5a5-62da5697b256
04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f	039afc87-45fb-40b7-974a-12f1b585f8f0
11d753a6-d60c-440c-9bbd-81e3b3b5a3f5	c1725480-b70b-47b4-ae49-63c539ed91b4
246796d1-5460-4269-8ed8-ad072406bb16	debd6f57-49ae-4711-8e97-522ea603fb29
c1725480-b70b-47b4-ae49-63c539ed91b4	246796d1-5460-4269-8ed8-ad072406bb16
debd6f57-49ae-4711-8e97-522ea603fb29	04bf4ff2-4dec-4a0e-a99a-dbb8a34c612f
f784ca51-1ac0-4043-935b-8fe93f4df5d6	11d753a6-d60c-440c-9bbd-81e3b3b5a3f5
\.


--
-- Data for Name: training_session; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.training_session (at, zone, local_date, id, ladder_id, rung_id, finished_at, effort) FROM stdin;
2026-01-21 09:00:00+00	Europe/Lisbon	2026-01-21	84a6fd75-53d9-499a-a50f-c375d89321c9	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2026-01-21 09:25:00+00	7
2026-01-23 09:00:00+00	Europe/Lisbon	2026-01-23	d7e83f0e-a4c7-4371-86f9-cce40481a728	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2026-01-23 09:25:00+00	6
2026-01-25 09:00:00+00	Europe/Lisbon	2026-01-25	cf09c829-151e-4cf7-be7d-0088cf77f77d	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2026-01-25 09:25:00+00	7
2026-01-28 09:00:00+00	Europe/Lisbon	2026-01-28	66527e94-88fd-4c44-9c37-394796c34c9c	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2026-01-28 09:25:00+00	7
2026-01-30 09:00:00+00	Europe/Lisbon	2026-01-30	c47b3f4f-bd12-4cef-94a8-d7d7d15049da	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2026-01-30 09:25:00+00	7
2026-02-01 09:00:00+00	Europe/Lisbon	2026-02-01	1b668bf9-a3f2-4402-9577-e528239aff73	4ba2f92e-20c5-4d69-9072-bfa78cc6cef5	9b8f894e-726b-4fcc-8ccc-e0a719ac840d	2026-02-01 09:25:00+00	6
2026-01-20 09:00:00+00	Europe/Lisbon	2026-01-20	beaecd96-ef48-4c35-a509-6f6945cca327	f3731dd1-3ec4-4d28-889d-bec6c1955933	f810615b-c31e-40d9-8cf0-3e61bee558e7	2026-01-20 09:25:00+00	8
2026-01-22 09:00:00+00	Europe/Lisbon	2026-01-22	5e20306b-0791-4bb4-b3d1-ee19ece6be0a	f3731dd1-3ec4-4d28-889d-bec6c1955933	f810615b-c31e-40d9-8cf0-3e61bee558e7	2026-01-22 09:25:00+00	7
2026-01-24 09:00:00+00	Europe/Lisbon	2026-01-24	257c396a-eda4-4c10-a4be-143599db277b	f3731dd1-3ec4-4d28-889d-bec6c1955933	b6347abd-7876-4f19-89e8-aead25c32be0	2026-01-24 09:25:00+00	6
2026-01-27 09:00:00+00	Europe/Lisbon	2026-01-27	b2142e91-c913-49e5-a8d6-f738b157ee19	f3731dd1-3ec4-4d28-889d-bec6c1955933	b6347abd-7876-4f19-89e8-aead25c32be0	2026-01-27 09:25:00+00	6
2026-01-29 09:00:00+00	Europe/Lisbon	2026-01-29	381f7aea-78f3-4ca4-b4ca-cd70f8efe152	f3731dd1-3ec4-4d28-889d-bec6c1955933	b6347abd-7876-4f19-89e8-aead25c32be0	2026-01-29 09:25:00+00	8
2026-01-31 09:00:00+00	Europe/Lisbon	2026-01-31	80ba6dfd-300b-42f2-b008-6d500b94f1f8	f3731dd1-3ec4-4d28-889d-bec6c1955933	b6347abd-7876-4f19-89e8-aead25c32be0	2026-01-31 09:25:00+00	7
2026-01-19 09:00:00+00	Europe/Lisbon	2026-01-19	05a39463-7db8-4a15-a4f9-ad9e4a84398d	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	62c0ea9f-8907-441d-8cb6-88c11d013258	2026-01-19 09:25:00+00	7
2026-01-21 09:00:00+00	Europe/Lisbon	2026-01-21	5ea62cb3-26b6-467b-8749-061f49863c44	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	62c0ea9f-8907-441d-8cb6-88c11d013258	2026-01-21 09:25:00+00	8
2026-01-23 09:00:00+00	Europe/Lisbon	2026-01-23	e740074d-f0b0-4c09-a35d-d87a70285899	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	88cf249d-529a-4365-b492-c3565f15a459	2026-01-23 09:25:00+00	8
2026-01-26 09:00:00+00	Europe/Lisbon	2026-01-26	20585462-f198-4ee0-855e-e1ae7b50712f	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	88cf249d-529a-4365-b492-c3565f15a459	2026-01-26 09:25:00+00	6
2026-01-28 09:00:00+00	Europe/Lisbon	2026-01-28	d58f79ef-f7e2-43bf-8185-2559df4bde2f	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	2026-01-28 09:25:00+00	8
2026-01-30 09:00:00+00	Europe/Lisbon	2026-01-30	e4e0d844-2578-4141-8511-1e224e26d91f	3f859e0a-8c29-4f65-9a9a-0afdc46bd909	de2872c9-54b3-48b4-ab9d-3cd6b9c77b26	2026-01-30 09:25:00+00	8
\.


--
-- Data for Name: week_plan; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.week_plan (id, at, zone, local_date, model_version, catalogue_version, inputs, athlete_id, monday, number, placed, result, word) FROM stdin;
155b8682-e874-4370-b19e-47b2495a0df0	2026-02-02 09:00:00+00	Europe/Lisbon	2026-02-02	3.1	4	{"lost": {"days": [], "places": []}, "pins": [], "tasks": {"check:ankle": "Knee-to-wall rocks", "movement:bridge": "Bridge", "movement:calf-raise": "Calf raise", "movement:side-leg-raise": "Side leg raise, lying", "5d8bad91-eee2-4ef1-aad4-057287a1ab9f": "Row, leaning half", "f3731dd1-3ec4-4d28-889d-bec6c1955933": "Floor push-up", "2479a62a-1333-473a-a4b2-150132f809e5/easy": "Tuck, thighs nearly level, easy day", "2479a62a-1333-473a-a4b2-150132f809e5/hard": "Shins tucked back, hard day", "2479a62a-1333-473a-a4b2-150132f809e5/middle": "Tuck, thighs level, middle day"}, "wishes": {"away": 0.0, "days": [{"at": "16:30", "index": 0, "place": "59c59680-1837-4561-b0a8-1ee42759968e", "minutes": 45}, {"at": "11:00", "index": 1, "place": "ab152b58-5e08-4fe1-b6e4-46d9c1faec38", "minutes": 40}, {"at": "16:30", "index": 3, "place": "59c59680-1837-4561-b0a8-1ee42759968e", "minutes": 45}, {"at": "10:00", "index": 5, "place": "ab152b58-5e08-4fe1-b6e4-46d9c1faec38", "minutes": 40}], "begun": "2026-01-19", "hands": {"edits": [], "together": []}, "weeks": 8, "extras": [{"days": 2, "sets": null, "letter": "A", "purpose": "endurance", "movement": "calf-raise", "rotation": "accessories"}, {"days": 2, "sets": null, "letter": "B", "purpose": "endurance", "movement": "side-leg-raise", "rotation": "accessories"}, {"days": 2, "sets": null, "letter": "", "purpose": "size", "movement": "bridge", "rotation": ""}], "targets": [], "weights": {"even": 1, "wave": 8, "asked": 12, "moved": 1, "small": 3, "balance": 1, "regions": 1, "rotation": 4, "surfaces": 2, "region_days": 10}, "easy_every": 4, "stressful_limit": 2}}	fa48a7d6-c790-44e1-9ae5-de14d4a858c7	2026-02-02	1	[["2479a62a-1333-473a-a4b2-150132f809e5/easy", 0], ["2479a62a-1333-473a-a4b2-150132f809e5/hard", 5], ["2479a62a-1333-473a-a4b2-150132f809e5/middle", 1], ["5d8bad91-eee2-4ef1-aad4-057287a1ab9f", 0], ["5d8bad91-eee2-4ef1-aad4-057287a1ab9f", 3], ["check:ankle", 0], ["check:ankle", 3], ["f3731dd1-3ec4-4d28-889d-bec6c1955933", 1], ["f3731dd1-3ec4-4d28-889d-bec6c1955933", 3], ["f3731dd1-3ec4-4d28-889d-bec6c1955933", 5], ["movement:bridge", 1], ["movement:bridge", 5], ["movement:calf-raise", 1], ["movement:calf-raise", 5], ["movement:side-leg-raise", 0], ["movement:side-leg-raise", 3]]	{"bound": 113, "terms": {"even": 3, "wave": 0, "asked": 36, "moved": 0, "small": 0, "balance": 10, "regions": 62, "rotation": 0, "surfaces": 2, "region_days": 0}, "broken": [], "points": 113, "stress": {"check:ankle": {}, "movement:bridge": {"hip": 1, "back": 1}, "movement:calf-raise": {"ankle": 2}, "movement:side-leg-raise": {"hip": 1}, "5d8bad91-eee2-4ef1-aad4-057287a1ab9f": {"elbow": 2, "shoulder": 1}, "f3731dd1-3ec4-4d28-889d-bec6c1955933": {"elbow": 1, "wrist": 2, "shoulder": 1}, "2479a62a-1333-473a-a4b2-150132f809e5/easy": {"elbow": 2, "wrist": 2}, "2479a62a-1333-473a-a4b2-150132f809e5/hard": {"elbow": 2, "wrist": 2}, "2479a62a-1333-473a-a4b2-150132f809e5/middle": {"elbow": 2, "wrist": 2}}}	solved
\.


--
-- Data for Name: week_wishes; Type: TABLE DATA; Schema: public; Owner: -
--

COPY public.week_wishes (athlete_id, told, updated_at) FROM stdin;
fa48a7d6-c790-44e1-9ae5-de14d4a858c7	{"away": 0.0, "days": [{"at": "16:30", "index": 0, "place": "59c59680-1837-4561-b0a8-1ee42759968e", "minutes": 45}, {"at": "11:00", "index": 1, "place": "ab152b58-5e08-4fe1-b6e4-46d9c1faec38", "minutes": 40}, {"at": "16:30", "index": 3, "place": "59c59680-1837-4561-b0a8-1ee42759968e", "minutes": 45}, {"at": "10:00", "index": 5, "place": "ab152b58-5e08-4fe1-b6e4-46d9c1faec38", "minutes": 40}], "begun": "2026-01-19", "hands": {"edits": [], "together": []}, "weeks": 8, "extras": [{"days": 2, "sets": null, "letter": "A", "purpose": "endurance", "movement": "calf-raise", "rotation": "accessories"}, {"days": 2, "sets": null, "letter": "B", "purpose": "endurance", "movement": "side-leg-raise", "rotation": "accessories"}, {"days": 2, "sets": null, "letter": "", "purpose": "size", "movement": "bridge", "rotation": ""}], "targets": [], "weights": {"even": 1, "wave": 8, "asked": 12, "moved": 1, "small": 3, "balance": 1, "regions": 1, "rotation": 4, "surfaces": 2, "region_days": 10}, "easy_every": 4, "stressful_limit": 2}	2026-02-02 09:00:00+00
\.


--
-- Name: sign_in_attempt_id_seq; Type: SEQUENCE SET; Schema: public; Owner: -
--

SELECT pg_catalog.setval('public.sign_in_attempt_id_seq', 1, false);


--
-- Name: alembic_version alembic_version_pkc; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.alembic_version
    ADD CONSTRAINT alembic_version_pkc PRIMARY KEY (version_num);


--
-- Name: account pk_account; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.account
    ADD CONSTRAINT pk_account PRIMARY KEY (id);


--
-- Name: adapted_day pk_adapted_day; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.adapted_day
    ADD CONSTRAINT pk_adapted_day PRIMARY KEY (id);


--
-- Name: athlete pk_athlete; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.athlete
    ADD CONSTRAINT pk_athlete PRIMARY KEY (id);


--
-- Name: athlete_access pk_athlete_access; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.athlete_access
    ADD CONSTRAINT pk_athlete_access PRIMARY KEY (account_id, athlete_id);


--
-- Name: band pk_band; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.band
    ADD CONSTRAINT pk_band PRIMARY KEY (id);


--
-- Name: calendar_feed pk_calendar_feed; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.calendar_feed
    ADD CONSTRAINT pk_calendar_feed PRIMARY KEY (token_hash);


--
-- Name: clearance pk_clearance; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.clearance
    ADD CONSTRAINT pk_clearance PRIMARY KEY (id);


--
-- Name: decision pk_decision; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.decision
    ADD CONSTRAINT pk_decision PRIMARY KEY (id);


--
-- Name: habit pk_habit; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.habit
    ADD CONSTRAINT pk_habit PRIMARY KEY (id);


--
-- Name: habit_tick pk_habit_tick; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.habit_tick
    ADD CONSTRAINT pk_habit_tick PRIMARY KEY (id);


--
-- Name: kit_item pk_kit_item; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.kit_item
    ADD CONSTRAINT pk_kit_item PRIMARY KEY (id);


--
-- Name: ladder pk_ladder; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.ladder
    ADD CONSTRAINT pk_ladder PRIMARY KEY (id);


--
-- Name: logged_set pk_logged_set; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.logged_set
    ADD CONSTRAINT pk_logged_set PRIMARY KEY (id);


--
-- Name: measure pk_measure; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.measure
    ADD CONSTRAINT pk_measure PRIMARY KEY (id);


--
-- Name: own_session pk_own_session; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.own_session
    ADD CONSTRAINT pk_own_session PRIMARY KEY (id);


--
-- Name: person pk_person; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.person
    ADD CONSTRAINT pk_person PRIMARY KEY (athlete_id);


--
-- Name: place pk_place; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.place
    ADD CONSTRAINT pk_place PRIMARY KEY (id);


--
-- Name: placement pk_placement; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.placement
    ADD CONSTRAINT pk_placement PRIMARY KEY (id);


--
-- Name: readiness pk_readiness; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.readiness
    ADD CONSTRAINT pk_readiness PRIMARY KEY (id);


--
-- Name: rung pk_rung; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.rung
    ADD CONSTRAINT pk_rung PRIMARY KEY (id);


--
-- Name: screening pk_screening; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.screening
    ADD CONSTRAINT pk_screening PRIMARY KEY (id);


--
-- Name: sign_in pk_sign_in; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.sign_in
    ADD CONSTRAINT pk_sign_in PRIMARY KEY (token_hash);


--
-- Name: sign_in_attempt pk_sign_in_attempt; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.sign_in_attempt
    ADD CONSTRAINT pk_sign_in_attempt PRIMARY KEY (id);


--
-- Name: sketch pk_sketch; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.sketch
    ADD CONSTRAINT pk_sketch PRIMARY KEY (id);


--
-- Name: test pk_test; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.test
    ADD CONSTRAINT pk_test PRIMARY KEY (id);


--
-- Name: tie pk_tie; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.tie
    ADD CONSTRAINT pk_tie PRIMARY KEY (lower_id, upper_id);


--
-- Name: training_session pk_training_session; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.training_session
    ADD CONSTRAINT pk_training_session PRIMARY KEY (id);


--
-- Name: week_plan pk_week_plan; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.week_plan
    ADD CONSTRAINT pk_week_plan PRIMARY KEY (id);


--
-- Name: week_wishes pk_week_wishes; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.week_wishes
    ADD CONSTRAINT pk_week_wishes PRIMARY KEY (athlete_id);


--
-- Name: account uq_account_email; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.account
    ADD CONSTRAINT uq_account_email UNIQUE (email);


--
-- Name: decision uq_decision_session_id; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.decision
    ADD CONSTRAINT uq_decision_session_id UNIQUE (session_id);


--
-- Name: own_session uq_own_session_account_id_name; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.own_session
    ADD CONSTRAINT uq_own_session_account_id_name UNIQUE (account_id, name);


--
-- Name: place uq_place_account_id_name; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.place
    ADD CONSTRAINT uq_place_account_id_name UNIQUE (account_id, name);


--
-- Name: rung uq_rung_ladder_id_position; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.rung
    ADD CONSTRAINT uq_rung_ladder_id_position UNIQUE (ladder_id, "position") DEFERRABLE;


--
-- Name: sketch uq_sketch_ladder_id_number; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.sketch
    ADD CONSTRAINT uq_sketch_ladder_id_number UNIQUE (ladder_id, number);


--
-- Name: week_plan uq_week_plan_athlete_id_monday_number; Type: CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.week_plan
    ADD CONSTRAINT uq_week_plan_athlete_id_monday_number UNIQUE (athlete_id, monday, number);


--
-- Name: ix_adapted_day_athlete_id_day; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_adapted_day_athlete_id_day ON public.adapted_day USING btree (athlete_id, day);


--
-- Name: ix_athlete_access_athlete_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_athlete_access_athlete_id ON public.athlete_access USING btree (athlete_id);


--
-- Name: ix_calendar_feed_athlete_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_calendar_feed_athlete_id ON public.calendar_feed USING btree (athlete_id);


--
-- Name: ix_clearance_screening_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_clearance_screening_id ON public.clearance USING btree (screening_id);


--
-- Name: ix_decision_ladder_id_at; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_decision_ladder_id_at ON public.decision USING btree (ladder_id, at);


--
-- Name: ix_kit_item_place_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_kit_item_place_id ON public.kit_item USING btree (place_id);


--
-- Name: ix_ladder_athlete_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_ladder_athlete_id ON public.ladder USING btree (athlete_id);


--
-- Name: ix_logged_set_session_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_logged_set_session_id ON public.logged_set USING btree (session_id);


--
-- Name: ix_measure_athlete_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_measure_athlete_id ON public.measure USING btree (athlete_id);


--
-- Name: ix_placement_ladder_id_at; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_placement_ladder_id_at ON public.placement USING btree (ladder_id, at);


--
-- Name: ix_readiness_athlete_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_readiness_athlete_id ON public.readiness USING btree (athlete_id);


--
-- Name: ix_screening_athlete_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_screening_athlete_id ON public.screening USING btree (athlete_id);


--
-- Name: ix_sign_in_account_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_sign_in_account_id ON public.sign_in USING btree (account_id);


--
-- Name: ix_sign_in_attempt_key_at; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_sign_in_attempt_key_at ON public.sign_in_attempt USING btree (key, at);


--
-- Name: ix_test_athlete_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_test_athlete_id ON public.test USING btree (athlete_id);


--
-- Name: ix_tie_upper_id; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_tie_upper_id ON public.tie USING btree (upper_id);


--
-- Name: ix_training_session_ladder_id_at; Type: INDEX; Schema: public; Owner: -
--

CREATE INDEX ix_training_session_ladder_id_at ON public.training_session USING btree (ladder_id, at);


--
-- Name: uq_band_in_use; Type: INDEX; Schema: public; Owner: -
--

CREATE UNIQUE INDEX uq_band_in_use ON public.band USING btree (account_id, name) WHERE (retired_at IS NULL);


--
-- Name: uq_habit_running; Type: INDEX; Schema: public; Owner: -
--

CREATE UNIQUE INDEX uq_habit_running ON public.habit USING btree (athlete_id) WHERE (ended_on IS NULL);


--
-- Name: uq_habit_tick_day; Type: INDEX; Schema: public; Owner: -
--

CREATE UNIQUE INDEX uq_habit_tick_day ON public.habit_tick USING btree (habit_id, local_date) WHERE (NOT trial);


--
-- Name: uq_training_session_open; Type: INDEX; Schema: public; Owner: -
--

CREATE UNIQUE INDEX uq_training_session_open ON public.training_session USING btree (ladder_id) WHERE (finished_at IS NULL);


--
-- Name: logged_set logged_set_append_only; Type: TRIGGER; Schema: public; Owner: -
--

CREATE TRIGGER logged_set_append_only BEFORE DELETE OR UPDATE ON public.logged_set FOR EACH ROW EXECUTE FUNCTION public.refuse_change();


--
-- Name: adapted_day fk_adapted_day_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.adapted_day
    ADD CONSTRAINT fk_adapted_day_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: athlete_access fk_athlete_access_account_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.athlete_access
    ADD CONSTRAINT fk_athlete_access_account_id FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;


--
-- Name: athlete_access fk_athlete_access_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.athlete_access
    ADD CONSTRAINT fk_athlete_access_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: band fk_band_account_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.band
    ADD CONSTRAINT fk_band_account_id FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;


--
-- Name: calendar_feed fk_calendar_feed_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.calendar_feed
    ADD CONSTRAINT fk_calendar_feed_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: clearance fk_clearance_author_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.clearance
    ADD CONSTRAINT fk_clearance_author_id FOREIGN KEY (author_id) REFERENCES public.account(id) ON DELETE SET NULL;


--
-- Name: clearance fk_clearance_screening_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.clearance
    ADD CONSTRAINT fk_clearance_screening_id FOREIGN KEY (screening_id) REFERENCES public.screening(id) ON DELETE CASCADE;


--
-- Name: decision fk_decision_answered_by; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.decision
    ADD CONSTRAINT fk_decision_answered_by FOREIGN KEY (answered_by) REFERENCES public.account(id) ON DELETE SET NULL;


--
-- Name: decision fk_decision_final_rung_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.decision
    ADD CONSTRAINT fk_decision_final_rung_id FOREIGN KEY (final_rung_id) REFERENCES public.rung(id) ON DELETE CASCADE;


--
-- Name: decision fk_decision_from_rung_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.decision
    ADD CONSTRAINT fk_decision_from_rung_id FOREIGN KEY (from_rung_id) REFERENCES public.rung(id) ON DELETE CASCADE;


--
-- Name: decision fk_decision_ladder_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.decision
    ADD CONSTRAINT fk_decision_ladder_id FOREIGN KEY (ladder_id) REFERENCES public.ladder(id) ON DELETE CASCADE;


--
-- Name: decision fk_decision_session_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.decision
    ADD CONSTRAINT fk_decision_session_id FOREIGN KEY (session_id) REFERENCES public.training_session(id) ON DELETE CASCADE;


--
-- Name: decision fk_decision_to_rung_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.decision
    ADD CONSTRAINT fk_decision_to_rung_id FOREIGN KEY (to_rung_id) REFERENCES public.rung(id) ON DELETE CASCADE;


--
-- Name: habit fk_habit_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.habit
    ADD CONSTRAINT fk_habit_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: habit_tick fk_habit_tick_habit_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.habit_tick
    ADD CONSTRAINT fk_habit_tick_habit_id FOREIGN KEY (habit_id) REFERENCES public.habit(id) ON DELETE CASCADE;


--
-- Name: kit_item fk_kit_item_band_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.kit_item
    ADD CONSTRAINT fk_kit_item_band_id FOREIGN KEY (band_id) REFERENCES public.band(id) ON DELETE CASCADE;


--
-- Name: kit_item fk_kit_item_place_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.kit_item
    ADD CONSTRAINT fk_kit_item_place_id FOREIGN KEY (place_id) REFERENCES public.place(id) ON DELETE CASCADE;


--
-- Name: ladder fk_ladder_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.ladder
    ADD CONSTRAINT fk_ladder_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: ladder fk_ladder_standing_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.ladder
    ADD CONSTRAINT fk_ladder_standing_id FOREIGN KEY (standing_id) REFERENCES public.rung(id) ON DELETE SET NULL;


--
-- Name: logged_set fk_logged_set_corrects; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.logged_set
    ADD CONSTRAINT fk_logged_set_corrects FOREIGN KEY (corrects) REFERENCES public.logged_set(id) ON DELETE CASCADE;


--
-- Name: logged_set fk_logged_set_rung_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.logged_set
    ADD CONSTRAINT fk_logged_set_rung_id FOREIGN KEY (rung_id) REFERENCES public.rung(id) ON DELETE CASCADE;


--
-- Name: logged_set fk_logged_set_session_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.logged_set
    ADD CONSTRAINT fk_logged_set_session_id FOREIGN KEY (session_id) REFERENCES public.training_session(id) ON DELETE CASCADE;


--
-- Name: measure fk_measure_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.measure
    ADD CONSTRAINT fk_measure_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: own_session fk_own_session_account_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.own_session
    ADD CONSTRAINT fk_own_session_account_id FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;


--
-- Name: person fk_person_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.person
    ADD CONSTRAINT fk_person_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: place fk_place_account_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.place
    ADD CONSTRAINT fk_place_account_id FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;


--
-- Name: placement fk_placement_ladder_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.placement
    ADD CONSTRAINT fk_placement_ladder_id FOREIGN KEY (ladder_id) REFERENCES public.ladder(id) ON DELETE CASCADE;


--
-- Name: placement fk_placement_rung_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.placement
    ADD CONSTRAINT fk_placement_rung_id FOREIGN KEY (rung_id) REFERENCES public.rung(id) ON DELETE CASCADE;


--
-- Name: readiness fk_readiness_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.readiness
    ADD CONSTRAINT fk_readiness_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: rung fk_rung_ladder_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.rung
    ADD CONSTRAINT fk_rung_ladder_id FOREIGN KEY (ladder_id) REFERENCES public.ladder(id) ON DELETE CASCADE;


--
-- Name: screening fk_screening_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.screening
    ADD CONSTRAINT fk_screening_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: sign_in fk_sign_in_account_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.sign_in
    ADD CONSTRAINT fk_sign_in_account_id FOREIGN KEY (account_id) REFERENCES public.account(id) ON DELETE CASCADE;


--
-- Name: sketch fk_sketch_ladder_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.sketch
    ADD CONSTRAINT fk_sketch_ladder_id FOREIGN KEY (ladder_id) REFERENCES public.ladder(id) ON DELETE CASCADE;


--
-- Name: test fk_test_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.test
    ADD CONSTRAINT fk_test_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: tie fk_tie_lower_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.tie
    ADD CONSTRAINT fk_tie_lower_id FOREIGN KEY (lower_id) REFERENCES public.rung(id) ON DELETE CASCADE;


--
-- Name: tie fk_tie_upper_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.tie
    ADD CONSTRAINT fk_tie_upper_id FOREIGN KEY (upper_id) REFERENCES public.rung(id) ON DELETE CASCADE;


--
-- Name: training_session fk_training_session_ladder_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.training_session
    ADD CONSTRAINT fk_training_session_ladder_id FOREIGN KEY (ladder_id) REFERENCES public.ladder(id) ON DELETE CASCADE;


--
-- Name: training_session fk_training_session_rung_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.training_session
    ADD CONSTRAINT fk_training_session_rung_id FOREIGN KEY (rung_id) REFERENCES public.rung(id) ON DELETE CASCADE;


--
-- Name: week_plan fk_week_plan_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.week_plan
    ADD CONSTRAINT fk_week_plan_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- Name: week_wishes fk_week_wishes_athlete_id; Type: FK CONSTRAINT; Schema: public; Owner: -
--

ALTER TABLE ONLY public.week_wishes
    ADD CONSTRAINT fk_week_wishes_athlete_id FOREIGN KEY (athlete_id) REFERENCES public.athlete(id) ON DELETE CASCADE;


--
-- PostgreSQL database dump complete
--


