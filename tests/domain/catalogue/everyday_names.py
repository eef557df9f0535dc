"""What people call movements: everyday names, plurals, hyphens and misspellings (common practice),
and the movement each means."""

EVERYDAY = """
close press up: close-push-up | narrow press ups: close-push-up | wide press-ups: wide-push-up
archer press ups: archer-push-up | ring press ups: ring-push-up
decline press ups: feet-raised-push-up
press up: push-up | press-ups: push-up | pushups: push-up | push ups: push-up | Push-Up: push-up
full pushup: push-up | knee pushups: knee-push-up | kneeling press-up: knee-push-up
wall pushup: wall-push-up | wall press ups: wall-push-up | pushup on the knees: knee-push-up
decline pushups: feet-raised-push-up | feet elevated push up: feet-raised-push-up
deficit pushup: deep-push-up | parallette pushups: deep-push-up | diamond pushups: close-push-up
diamond press up: close-push-up | close grip pushup: close-push-up
triangle push-ups: close-push-up | narrow pushup: close-push-up | wide pushups: wide-push-up
archer pushups: archer-push-up | one arm pushup: one-arm-push-up
single arm push up: one-arm-push-up | one handed pushup: one-arm-push-up
ring pushups: ring-push-up | rto pushup: turned-out-ring-push-up
pseudo planche pushups: lean-push-up | pseudo-planche push up: lean-push-up
spiderman pushups: knee-to-elbow-push-up | staggered pushup: staggered-push-up
t pushup: rotation-push-up | commando planks: up-down-plank | plank up downs: up-down-plank
pike pushups: pike-push-up | pike press ups: pike-push-up | hspu: handstand-push-up
handstand pushups: handstand-push-up | wall handstand: wall-handstand | wall walks: wall-walk
overhead press: bag-overhead-press | shoulder press: bag-overhead-press
floor presses: floor-press | dips: dip | parallel bar dips: dip | bench dips: bench-dip
chair dips: bench-dip | ring dips: ring-dip | support holds: support-hold | pull up: pull-up
pullups: pull-up | chin ups: chin-up | chinup: chin-up | chin-ups: chin-up
negative pullups: lowering-pull-up | negatives: lowering-pull-up
eccentric pull ups: lowering-pull-up | assisted pullups: feet-helped-pull-up
neutral grip pullups: neutral-pull-up | dead hangs: hang | bar hang: hang
active hang: shoulder-blade-pull-up | scap pullups: shoulder-blade-pull-up
scapular pull ups: shoulder-blade-pull-up | flexed arm hang: bent-arm-hang
bent arm hangs: bent-arm-hang | archer pullups: archer-pull-up | one arm pullup: one-arm-pull-up
towel pullups: towel-pull-up | one arm hang: one-arm-hang | inverted rows: row | body rows: row
ring rows: row | australian pull ups: level-row | table rows: table-row
bent over rows: bent-over-row | band rows: band-bent-over-row | supinated rows: underhand-row
lat pulldown with a band: lat-press-down | straight arm pulldowns: lat-press-down
face pulls: face-pull | pull aparts: band-apart | band pull-aparts: band-apart
biceps curls: curl | bicep curls: curl | hammer curls: hammer-curl | band curls: band-curl
preacher curls: front-curl | triceps extensions: triceps-press
skull crushers at a bar: bar-triceps-press | tricep pushdowns: band-triceps-press
wrist curls: wrist-curl | farmer carry: bag-carry | scap pushups: shoulder-blade-push-up
y raises: arms-ahead-raise | t raise: arms-wide-raise | wall slides: wall-slide
wall angels: wall-slide | chest flys with a band: fly | l sit: l-sit | lsit: l-sit
tuck l-sits: tuck-l-sit | straddle l sit: straddle-l-sit | v sits: v-sit
compression lifts: seated-leg-lift | seated leg lifts: seated-leg-lift
planche leans: planche-lean | tuck planche: tuck-planche | adv tuck planche: advanced-tuck-planche
straddle planche: straddle-planche | full planche: planche | frog stands: bent-arm-balance
crow pose: bent-arm-balance | tuck front lever: tuck-front-lever | front levers: front-lever
advanced tuck front lever: advanced-tuck-front-lever | skin the cats: turn-through
german hang: turn-through | back levers: back-lever | planks: plank | elbow plank: plank
side planks: side-plank | side plank dips: side-plank-dip | copenhagen planks: inner-thigh-plank
hollow holds: hollow | hollow body hold: hollow | dead bugs: dead-bug | deadbug: dead-bug
mountain climbers: climber | shoulder taps: shoulder-tap-plank | inchworms: hollow-walk-out
crunches: crunch | situps: sit-up | sit-ups: sit-up | leg raises lying: leg-lower
reverse crunches: bent-knee-leg-lower | hanging leg raises: hanging-leg-raise
hanging knee raises: hanging-knee-raise | supermans: chest-and-legs-raise
arch holds: chest-and-legs-raise | bird dogs: arm-and-leg-reach | birddog: arm-and-leg-reach
back extensions: chest-raise | reverse hypers: edge-leg-raise | squats: squat | air squats: squat
bodyweight squats: squat | deep squats: deep-squat | sit to stands: chair-squat
box squats: chair-squat | sumo squats: wide-squat | goblet squats: goblet-squat
pistols: one-leg-squat | pistol squats: one-leg-squat | single leg squats: one-leg-squat
assisted pistols: stick-one-leg-squat | bulgarian split squats: rear-foot-raised-split-squat
bulgarians: rear-foot-raised-split-squat | split squats: split-squat | lunges: forward-lunge
reverse lunges: rear-lunge | walking lunges: walking-lunge | side lunges: side-lunge
cossack squats: deep-side-lunge | step ups: step-up | box step ups: chair-step-up
step downs: step-down | wall sits: wall-sit | glute bridges: bridge | hip bridge: bridge
single leg glute bridges: one-leg-bridge | hip thrusts: shoulders-raised-bridge
single leg rdl: one-leg-hinge | one leg deadlift: one-leg-hinge
romanian deadlift single leg: one-leg-hinge | good mornings: bag-good-morning
nordics: nordic-lowering | nordic curls: nordic-lowering | slider leg curls: sliding-leg-curl
clams: knees-apart | clam shells: knees-apart | fire hydrants: knee-to-the-side
donkey kicks: bent-leg-rear-raise | monster walks: band-side-steps | calf raises: calf-raise
heel raises: calf-raise | single leg calf raises: one-leg-calf-raise | tib raises: toe-raise
soleus raises: bent-knee-calf-raise | broad jumps: jump | box jumps: box-jump
jump squats: high-jump | skater jumps: side-jump | jumping jack: jumping-jacks
star jumps: jumping-jacks | cat cow: round-and-hollow | cat-camel: round-and-hollow
shoulder dislocates: stick-pass-through | childs pose: childs-rest
pancake stretch: straddle-reach | hip flexor stretch: half-kneeling-hip-stretch
single leg balance: one-leg-stand | pulup: pull-up | pushp up: push-up | squatt: squat
glut bridge: bridge | planck: plank | bulgarian splitsquat: rear-foot-raised-split-squat
handstand push up: handstand-push-up
"""


def pairs() -> list[tuple[str, str]]:
    """Each name with the id of what it means."""
    told = (entry.strip() for line in EVERYDAY.strip().splitlines() for entry in line.split("|"))
    return [(name.strip(), movement.strip()) for name, movement in (one.split(":") for one in told)]
