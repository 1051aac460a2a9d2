import { read } from "../said/words";

/** Printed by `./hemicycle vocabulary` from the core: words, units and ranges. Not to be edited. */
export const VOCABULARY = read({
 "cautions": {
  "bend": {
   "say": "caution-bending"
  },
  "shaft": {
   "say": "caution-shaft-work"
  }
 },
 "readings": {
  "club_speed_mps": {
   "label": {
    "say": "reading-club-speed-mps"
   },
   "unit": "mph",
   "digits": 1,
   "scale": 0.44704
  },
  "ball_speed_mps": {
   "label": {
    "say": "reading-ball-speed-mps"
   },
   "unit": "mph",
   "digits": 1,
   "scale": 0.44704
  },
  "launch_deg": {
   "label": {
    "say": "reading-launch-deg"
   },
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "direction_deg": {
   "label": {
    "say": "reading-direction-deg"
   },
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "spin_rpm": {
   "label": {
    "say": "reading-spin-rpm"
   },
   "unit": "rpm",
   "digits": 0,
   "scale": 1.0
  },
  "axis_deg": {
   "label": {
    "say": "reading-axis-deg"
   },
   "unit": "°",
   "digits": 0,
   "scale": 1.0
  },
  "attack_deg": {
   "label": {
    "say": "reading-attack-deg"
   },
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "path_deg": {
   "label": {
    "say": "reading-path-deg"
   },
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "face_deg": {
   "label": {
    "say": "reading-face-deg"
   },
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "dynamic_loft_deg": {
   "label": {
    "say": "reading-dynamic-loft-deg"
   },
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "carry_m": {
   "label": {
    "say": "reading-carry-m"
   },
   "unit": "yd",
   "digits": 0,
   "scale": 0.9144
  },
  "total_m": {
   "label": {
    "say": "reading-total-m"
   },
   "unit": "yd",
   "digits": 0,
   "scale": 0.9144
  },
  "offline_m": {
   "label": {
    "say": "reading-offline-m"
   },
   "unit": "yd",
   "digits": 0,
   "scale": 0.9144
  },
  "peak_m": {
   "label": {
    "say": "reading-peak-m"
   },
   "unit": "ft",
   "digits": 0,
   "scale": 0.3048
  },
  "landing_deg": {
   "label": {
    "say": "reading-landing-deg"
   },
   "unit": "°",
   "digits": 0,
   "scale": 1.0
  },
  "hang_s": {
   "label": {
    "say": "reading-hang-s"
   },
   "unit": "s",
   "digits": 1,
   "scale": 1.0
  }
 },
 "rules": {
  "roll_out": {
   "say": "as-a-sentence",
   "said": {
    "say": "gap-rule-roll-out"
   }
  },
  "carry_only": {
   "say": "as-a-sentence",
   "said": {
    "say": "gap-rule-carry-only"
   }
  },
  "even_steps": {
   "say": "as-a-sentence",
   "said": {
    "say": "gap-rule-even-steps"
   }
  }
 },
 "shortRules": [
  "even_steps",
  "carry_only"
 ],
 "heads": {
  "driver": {
   "say": "head-driver"
  },
  "fairway": {
   "say": "head-fairway"
  },
  "hybrid": {
   "say": "head-hybrid"
  },
  "utility": {
   "say": "head-utility"
  },
  "iron": {
   "say": "head-iron"
  },
  "wedge": {
   "say": "head-wedge"
  },
  "putter": {
   "say": "head-putter"
  }
 },
 "fitted": [
  "fairway",
  "hybrid",
  "utility"
 ],
 "firmness": [
  "soft",
  "medium",
  "firm"
 ],
 "jobs": [
  "green",
  "tee",
  "layup"
 ],
 "misses": [
  "none",
  "left",
  "right",
  "short",
  "long"
 ],
 "likings": [
  "liked",
  "neutral",
  "disliked",
  "vetoed"
 ],
 "felt": {
  "looks": {
   "say": "felt-asked-looks"
  },
  "sound": {
   "say": "felt-asked-sound"
  },
  "feel": {
   "say": "felt-asked-feel"
  },
  "trust": {
   "say": "felt-asked-trust"
  },
  "tee": {
   "say": "felt-asked-tee"
  }
 },
 "round": [
  {
   "say": "round-band",
   "low": {
    "far": 27.432
   },
   "high": {
    "far": 91.44
   }
  },
  {
   "say": "round-band",
   "low": {
    "far": 91.44
   },
   "high": {
    "far": 137.16
   }
  },
  {
   "say": "round-band",
   "low": {
    "far": 137.16
   },
   "high": {
    "far": 182.88
   }
  },
  {
   "say": "round-band",
   "low": {
    "far": 182.88
   },
   "high": {
    "far": 219.456
   }
  }
 ],
 "modes": [
  "blind",
  "feel",
  "simple",
  "full"
 ],
 "strikes": [
  "toe",
  "heel",
  "high",
  "low",
  "thin",
  "fat"
 ],
 "intents": [
  "stock",
  "low",
  "high",
  "draw",
  "fade",
  "eased",
  "hard",
  "yardage"
 ],
 "protocols": {
  "full_swing": {
   "name": {
    "say": "protocol-full-swing"
   },
   "why": {
    "say": "protocol-only-stock-shots-count"
   },
   "intents": [
    "stock"
   ],
   "shots": 6,
   "short": false,
   "tasks": false
  },
  "shaped": {
   "name": {
    "say": "protocol-shaped-shots"
   },
   "why": {
    "say": "protocol-others-kept-beside-them"
   },
   "intents": [
    "low",
    "high",
    "draw",
    "fade"
   ],
   "shots": 3,
   "short": false,
   "tasks": false
  },
  "effort": {
   "name": {
    "say": "protocol-effort"
   },
   "why": {
    "say": "protocol-effort-why"
   },
   "intents": [
    "eased",
    "hard"
   ],
   "shots": 3,
   "short": false,
   "tasks": false
  },
  "yardage": {
   "name": {
    "say": "protocol-yardage-name"
   },
   "why": {
    "say": "protocol-asked-carry-so-far"
   },
   "intents": [
    "yardage"
   ],
   "shots": 3,
   "short": false,
   "tasks": false
  },
  "part_swing": {
   "name": {
    "say": "protocol-part-swings"
   },
   "why": {
    "say": "protocol-each-wedge-full-three"
   },
   "intents": [
    "stock"
   ],
   "shots": 3,
   "short": false,
   "tasks": true
  },
  "grooves": {
   "name": {
    "say": "protocol-grooves"
   },
   "why": {
    "say": "protocol-old-wedge-beside-fresh"
   },
   "intents": [
    "stock"
   ],
   "shots": 4,
   "short": true,
   "tasks": true
  },
  "stop": {
   "name": {
    "say": "protocol-stop-test"
   },
   "why": {
    "say": "protocol-one-target-each-wedge"
   },
   "intents": [
    "stock"
   ],
   "shots": 3,
   "short": true,
   "tasks": true
  },
  "sole": {
   "name": {
    "say": "protocol-sole-test"
   },
   "why": {
    "say": "protocol-two-five-soles-one"
   },
   "intents": [
    "stock"
   ],
   "shots": 3,
   "short": true,
   "tasks": false
  }
 },
 "sole": {
  "turf": {
   "grass": [
    "slid",
    "dug",
    "skipped",
    "sat_up",
    "grabbed"
   ],
   "sand": [
    "even",
    "deep",
    "shallow"
   ]
  },
  "confidence": [
   "guess",
   "fairly",
   "certain"
  ],
  "controls": {
   "fresh": {
    "say": "control-fresh"
   },
   "nearest": {
    "say": "control-nearest"
   },
   "own": {
    "say": "control-own"
   }
  },
  "soles": [
   2,
   5
  ]
 },
 "columns": [
  "carry_m",
  "total_m",
  "landing_deg",
  "peak_m",
  "launch_deg",
  "spin_rpm",
  "ball_speed_mps",
  "club_speed_mps",
  "smash",
  "offline_m",
  "longest",
  "shortest",
  "carries",
  "depth",
  "width",
  "held",
  "miss_cost",
  "attack_deg",
  "path_deg",
  "face_deg",
  "direction_deg",
  "axis_deg",
  "dynamic_loft_deg",
  "hang_s"
 ],
 "usualSets": {
  "short": [
   "7i",
   "8i",
   "9i",
   "PW",
   "50",
   "54",
   "58"
  ],
  "long": [
   "Dr",
   "3W",
   "5W",
   "4H",
   "5i",
   "6i",
   "7i"
  ],
  "whole": [
   "Dr",
   "3W",
   "5W",
   "4H",
   "5i",
   "6i",
   "7i",
   "8i",
   "9i",
   "PW",
   "50",
   "54",
   "58"
  ]
 },
 "usualColumns": [
  "carry_m",
  "total_m",
  "landing_deg",
  "peak_m",
  "launch_deg",
  "spin_rpm",
  "ball_speed_mps",
  "club_speed_mps",
  "smash",
  "offline_m",
  "longest",
  "shortest",
  "carries",
  "depth",
  "width",
  "held",
  "miss_cost",
  "attack_deg",
  "path_deg",
  "face_deg"
 ],
 "lengths": {
  "full": {
   "say": "swing-full"
  },
  "comfortable": {
   "say": "swing-comfortable"
  },
  "three_quarter": {
   "say": "swing-three-quarter"
  },
  "half": {
   "say": "swing-half"
  },
  "7:30": {
   "say": "swing-to",
   "clock": "7:30"
  },
  "9:00": {
   "say": "swing-to",
   "clock": "9:00"
  },
  "10:30": {
   "say": "swing-to",
   "clock": "10:30"
  }
 },
 "balls": [
  "own",
  "hard",
  "range"
 ],
 "wear": [
  "fresh",
  "some",
  "worn"
 ],
 "wedgeUses": [
  "full",
  "part",
  "pitch",
  "chip",
  "sand",
  "lob"
 ],
 "wedgeWishes": {
  "even": {
   "say": "wedge-wish-even"
  },
  "lower": {
   "say": "wedge-wish-lower"
  },
  "stop": {
   "say": "wedge-wish-stop"
  },
  "fewer": {
   "say": "wedge-wish-fewer"
  },
  "fresh": {
   "say": "wedge-wish-fresh"
  },
  "trip": {
   "say": "wedge-wish-trip"
  }
 },
 "complaints": {
  "runs_out": {
   "say": "complaint-runs-out"
  },
  "balloons": {
   "say": "complaint-balloons"
  },
  "digs": {
   "say": "complaint-digs"
  },
  "thin": {
   "say": "complaint-thin"
  },
  "sand": {
   "say": "complaint-sand"
  },
  "distance": {
   "say": "complaint-distance"
  },
  "gap": {
   "say": "complaint-gap"
  },
  "line": {
   "say": "complaint-line"
  },
  "worn": {
   "say": "complaint-worn"
  }
 },
 "finishes": [
  "raw",
  "plated",
  "coated"
 ],
 "deliveries": {
  "steep": {
   "say": "divots-steep"
  },
  "middling": {
   "say": "divots-middling"
  },
  "shallow": {
   "say": "divots-shallow"
  }
 },
 "schools": {
  "shortest": {
   "say": "wedges-shortest-first-most-lofted"
  },
  "set_wedge": {
   "say": "wedges-from-set-wedge-down"
  }
 },
 "lies": [
  "mat",
  "tee",
  "fairway",
  "tight",
  "soft",
  "semi_rough",
  "rough",
  "sand",
  "slope",
  "wet"
 ],
 "cleanLies": [
  "mat",
  "tee",
  "fairway"
 ],
 "most": {
  "clubsToPlace": 3,
  "plans": 3
 },
 "step": {
  "leastM": 2.7432,
  "mostM": 36.576
 },
 "terms": {
  "lie": {
   "mat": {
    "say": "lie-mat"
   },
   "tee": {
    "say": "lie-tee"
   },
   "fairway": {
    "say": "lie-fairway"
   },
   "tight": {
    "say": "lie-tight"
   },
   "soft": {
    "say": "lie-soft"
   },
   "semi_rough": {
    "say": "lie-semi-rough"
   },
   "rough": {
    "say": "lie-rough"
   },
   "sand": {
    "say": "lie-sand"
   },
   "slope": {
    "say": "lie-slope"
   },
   "wet": {
    "say": "lie-wet"
   }
  },
  "firmness": {
   "soft": {
    "say": "firmness-soft"
   },
   "medium": {
    "say": "firmness-medium"
   },
   "firm": {
    "say": "firmness-firm"
   }
  },
  "intent": {
   "stock": {
    "say": "intent-stock"
   },
   "low": {
    "say": "intent-low"
   },
   "high": {
    "say": "intent-high"
   },
   "draw": {
    "say": "intent-draw"
   },
   "fade": {
    "say": "intent-fade"
   },
   "eased": {
    "say": "intent-eased"
   },
   "hard": {
    "say": "intent-hard"
   },
   "yardage": {
    "say": "intent-yardage"
   }
  },
  "strike": {
   "toe": {
    "say": "strike-toe"
   },
   "heel": {
    "say": "strike-heel"
   },
   "high": {
    "say": "strike-high"
   },
   "low": {
    "say": "strike-low"
   },
   "thin": {
    "say": "strike-thin"
   },
   "fat": {
    "say": "strike-fat"
   }
  },
  "ball": {
   "own": {
    "say": "ball-own"
   },
   "hard": {
    "say": "ball-hard"
   },
   "range": {
    "say": "ball-range"
   }
  },
  "finish": {
   "raw": {
    "say": "finish-raw"
   },
   "plated": {
    "say": "finish-plated"
   },
   "coated": {
    "say": "finish-coated"
   }
  },
  "wear": {
   "fresh": {
    "say": "wear-fresh"
   },
   "some": {
    "say": "wear-some"
   },
   "worn": {
    "say": "wear-worn"
   }
  },
  "use": {
   "full": {
    "say": "wedge-use-full"
   },
   "part": {
    "say": "wedge-use-part"
   },
   "pitch": {
    "say": "wedge-use-pitch"
   },
   "chip": {
    "say": "wedge-use-chip"
   },
   "sand": {
    "say": "wedge-use-sand"
   },
   "lob": {
    "say": "wedge-use-lob"
   }
  },
  "liking": {
   "liked": {
    "say": "liking-liked"
   },
   "neutral": {
    "say": "liking-neutral"
   },
   "disliked": {
    "say": "liking-disliked"
   },
   "vetoed": {
    "say": "liking-vetoed"
   }
  },
  "made": {
   "unknown": {
    "say": "made-unknown"
   },
   "forged": {
    "say": "made-forged"
   },
   "cast": {
    "say": "made-cast"
   },
   "hollow": {
    "say": "made-hollow"
   }
  },
  "source": {
   "measured": {
    "say": "source-measured"
   },
   "modelled": {
    "say": "source-modelled"
   },
   "computed": {
    "say": "source-computed"
   }
  },
  "surface": {
   "mat": {
    "say": "surface-mat"
   },
   "grass tee": {
    "say": "surface-grass-tee"
   }
  },
  "side": {
   "right": {
    "say": "side-right"
   },
   "left": {
    "say": "side-left"
   },
   "both": {
    "say": "side-both"
   }
  },
  "sole-width": {
   "wide": {
    "say": "sole-width-wide"
   },
   "medium": {
    "say": "sole-width-medium"
   },
   "narrow": {
    "say": "sole-width-narrow"
   }
  },
  "worth": {
   "yardages": {
    "say": "worth-yardages"
   },
   "jobs": {
    "say": "worth-jobs"
   },
   "fear": {
    "say": "worth-fear"
   },
   "tests": {
    "say": "worth-tests"
   },
   "price": {
    "say": "worth-price"
   }
  },
  "counted": {
   "shots": {
    "say": "counted-shots"
   },
   "shots a round": {
    "say": "counted-shots-a-round"
   },
   "strokes": {
    "say": "counted-strokes"
   },
   "strokes a round": {
    "say": "counted-strokes-a-round"
   },
   "money": {
    "say": "counted-money"
   }
  }
 }
} as const);
