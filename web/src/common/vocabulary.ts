/** Made by `./invelo vocabulary`: the words that browser and service both know. */
export const VOCABULARY = {
  "purposes": [
    "learn",
    "skill",
    "strength",
    "size",
    "endurance",
    "keep",
    "finisher",
    "daily"
  ],
  "levels": [
    "beginner",
    "intermediate",
    "advanced"
  ],
  "joints": [
    "wrist",
    "elbow",
    "shoulder",
    "neck",
    "back",
    "hip",
    "knee",
    "ankle"
  ],
  "jointWords": [
    [
      "wrist",
      [
        "wrist",
        "hand",
        "palm",
        "thumb",
        "finger"
      ]
    ],
    [
      "elbow",
      [
        "elbow",
        "forearm"
      ]
    ],
    [
      "shoulder",
      [
        "shoulder",
        "collarbone",
        "armpit",
        "upper arm"
      ]
    ],
    [
      "neck",
      [
        "neck"
      ]
    ],
    [
      "back",
      [
        "back",
        "spine",
        "tailbone"
      ]
    ],
    [
      "hip",
      [
        "hip",
        "groin"
      ]
    ],
    [
      "knee",
      [
        "knee",
        "shin"
      ]
    ],
    [
      "ankle",
      [
        "ankle",
        "achilles",
        "heel",
        "foot",
        "toe"
      ]
    ]
  ],
  "regions": [
    "chest",
    "front shoulder",
    "side shoulder",
    "rear shoulder",
    "triceps",
    "biceps",
    "forearm",
    "upper back",
    "lats",
    "shoulder blade",
    "neck",
    "abs",
    "obliques",
    "lower back",
    "hip flexors",
    "glutes",
    "side glutes",
    "quads",
    "hamstrings",
    "adductors",
    "calves",
    "shins"
  ],
  "primeFrom": 20,
  "kitKinds": [
    [
      "surface",
      "a box, riser or table"
    ],
    [
      "chair",
      "a chair"
    ],
    [
      "stairs",
      "stairs (height of one step)"
    ],
    [
      "wall",
      "a free wall"
    ],
    [
      "bar",
      "a bar to hang from"
    ],
    [
      "parallel bars",
      "parallel bars"
    ],
    [
      "rings",
      "rings"
    ],
    [
      "straps",
      "straps"
    ],
    [
      "bag",
      "a bag to fill"
    ],
    [
      "load",
      "something of known weight"
    ],
    [
      "plate",
      "plates"
    ],
    [
      "belt",
      "a belt or vest to hang plates from"
    ],
    [
      "dumbbell",
      "a dumbbell"
    ],
    [
      "kettlebell",
      "a kettlebell"
    ],
    [
      "ankle weight",
      "ankle weights"
    ],
    [
      "pulley",
      "a pulley that takes weight off"
    ],
    [
      "gripper",
      "a hand gripper (rating)"
    ],
    [
      "band",
      "a measured band"
    ],
    [
      "towel",
      "a strong towel"
    ],
    [
      "stick",
      "a stick"
    ]
  ],
  "kitThatBears": [
    "band",
    "bar",
    "belt",
    "chair",
    "parallel bars",
    "pulley",
    "rings",
    "straps",
    "surface"
  ],
  "kitThatFills": [
    "load",
    "plate"
  ],
  "kitWithWeight": [
    "ankle weight",
    "bag",
    "dumbbell",
    "gripper",
    "kettlebell",
    "load",
    "plate"
  ],
  "kitWithHeight": [
    "bar",
    "chair",
    "parallel bars",
    "pulley",
    "rings",
    "stairs",
    "straps",
    "surface"
  ],
  "limits": [
    [
      "wrist bend",
      "most bend of the wrist under load",
      "°",
      150
    ],
    [
      "elbow load",
      "class of elbow load",
      "",
      3
    ],
    [
      "straight arms",
      "class of straight-arm load",
      "",
      2
    ],
    [
      "overhead",
      "most raise of the upper arm",
      "°",
      190
    ],
    [
      "shoulders behind",
      "most reach of the upper arm behind the body",
      "°",
      120
    ],
    [
      "neck load",
      "class of neck load",
      "",
      3
    ],
    [
      "back load",
      "class of back load",
      "",
      3
    ],
    [
      "hip bend",
      "most bend of the hip",
      "°",
      150
    ],
    [
      "straight-leg reach",
      "most bend of the hip with the knee straight",
      "°",
      150
    ],
    [
      "knee bend",
      "most bend of the knee under load",
      "°",
      160
    ],
    [
      "ankle bend",
      "most bend of the ankle under load",
      "°",
      60
    ],
    [
      "impact",
      "class of impact",
      "",
      3
    ],
    [
      "one leg",
      "class of one-leg work",
      "",
      2
    ],
    [
      "hanging",
      "class of hanging",
      "",
      2
    ],
    [
      "head down",
      "most tilt of the trunk with the head down",
      "°",
      90
    ],
    [
      "on the back",
      "lying on the back",
      "",
      1
    ],
    [
      "on the front",
      "lying on the front",
      "",
      1
    ],
    [
      "hard hold",
      "long hard holds",
      "",
      1
    ],
    [
      "one hand",
      "most share of one hand",
      "%",
      100
    ]
  ],
  "painPlaces": [
    "wrist",
    "elbow",
    "shoulder",
    "neck",
    "back",
    "hip",
    "knee",
    "ankle"
  ],
  "diseases": [
    [
      "heart or vessels",
      "of the heart or the vessels, a stroke, high blood pressure under treatment"
    ],
    [
      "metabolism",
      "of the metabolism, such as diabetes"
    ],
    [
      "kidneys",
      "of the kidneys"
    ]
  ],
  "signs": [
    [
      "chest pressure",
      "pressure or pain in chest, neck, jaw or arms, at rest or with effort"
    ],
    [
      "breathless at rest",
      "short of breath at rest or with little effort"
    ],
    [
      "faint or dizzy",
      "fainting, or dizzy spells"
    ],
    [
      "breathless lying down",
      "short of breath lying down, or waking from it at night"
    ],
    [
      "swollen ankles",
      "swollen ankles"
    ],
    [
      "racing heart",
      "a heart that races or stumbles without cause"
    ],
    [
      "calf pain walking",
      "pain in the calves that comes with walking and goes with standing"
    ],
    [
      "heart murmur",
      "a heart murmur that was found"
    ],
    [
      "unusual tiredness",
      "unusual tiredness with everyday things"
    ]
  ],
  "medicines": [
    [
      "heart or blood pressure",
      "for heart or blood pressure"
    ],
    [
      "blood sugar",
      "for blood sugar"
    ],
    [
      "blood thinning",
      "that thin the blood"
    ],
    [
      "bones or steroids",
      "for thin bones, or steroids for long"
    ]
  ],
  "formatsAlone": [
    "straight sets",
    "drop set",
    "cluster",
    "top single",
    "holds in pieces",
    "interval",
    "finisher"
  ],
  "formatsTogether": [
    "pair",
    "triple",
    "circuit",
    "interval",
    "pre-tire"
  ],
  "formatsChained": [
    "straight sets",
    "drop set",
    "pair",
    "triple",
    "circuit"
  ],
  "repRanges": [
    "",
    "full",
    "top half",
    "bottom half",
    "half, then full"
  ],
  "sideRules": [
    "",
    "left",
    "right",
    "per side",
    "alternating"
  ],
  "insteadReasons": [
    "kit missing",
    "hurts",
    "too easy"
  ],
  "weekdays": [
    "Monday",
    "Tuesday",
    "Wednesday",
    "Thursday",
    "Friday",
    "Saturday",
    "Sunday"
  ],
  "bandPlaces": [
    "hips",
    "feet",
    "knees",
    "hands",
    "shoulders"
  ],
  "bandLabels": [
    [
      "very light",
      4.0
    ],
    [
      "light",
      9.0
    ],
    [
      "medium",
      16.0
    ],
    [
      "heavy",
      27.0
    ],
    [
      "very heavy",
      45.0
    ]
  ],
  "bandLabelStretch": 2.0,
  "loadPlaces": [
    "belt",
    "bag",
    "lap",
    "hands",
    "ankles"
  ],
  "skipReasons": [
    "too tired",
    "no time",
    "kit not free",
    "no room",
    "did not feel right"
  ]
} as const;
