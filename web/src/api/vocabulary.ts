/** Printed by `./hemicycle vocabulary` from the core: words, units and ranges. Not to be edited. */
export const VOCABULARY = {
 "cautions": {
  "bend": "2° at most unless the maker says otherwise; cast and hollow heads can crack. Eye protection; measure loft, lie and bounce again after.",
  "shaft": "Heat, epoxy, solvent and dust: ventilate, wear gloves and eye protection, follow the maker’s data sheet."
 },
 "readings": {
  "club_speed_mps": {
   "label": "Club speed",
   "unit": "mph",
   "digits": 1,
   "scale": 0.44704
  },
  "ball_speed_mps": {
   "label": "Ball speed",
   "unit": "mph",
   "digits": 1,
   "scale": 0.44704
  },
  "launch_deg": {
   "label": "Launch angle",
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "direction_deg": {
   "label": "Launch direction",
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "spin_rpm": {
   "label": "Spin",
   "unit": "rpm",
   "digits": 0,
   "scale": 1.0
  },
  "axis_deg": {
   "label": "Spin axis",
   "unit": "°",
   "digits": 0,
   "scale": 1.0
  },
  "attack_deg": {
   "label": "Attack angle",
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "path_deg": {
   "label": "Club path",
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "face_deg": {
   "label": "Face angle",
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "dynamic_loft_deg": {
   "label": "Dynamic loft",
   "unit": "°",
   "digits": 1,
   "scale": 1.0
  },
  "carry_m": {
   "label": "Carry",
   "unit": "yd",
   "digits": 0,
   "scale": 0.9144
  },
  "total_m": {
   "label": "Total",
   "unit": "yd",
   "digits": 0,
   "scale": 0.9144
  },
  "offline_m": {
   "label": "Offline",
   "unit": "yd",
   "digits": 0,
   "scale": 0.9144
  },
  "peak_m": {
   "label": "Peak height",
   "unit": "ft",
   "digits": 0,
   "scale": 0.3048
  },
  "landing_deg": {
   "label": "Landing angle",
   "unit": "°",
   "digits": 0,
   "scale": 1.0
  },
  "hang_s": {
   "label": "Hang time",
   "unit": "s",
   "digits": 1,
   "scale": 1.0
  }
 },
 "rules": {
  "roll_out": "Roll-out meets carry",
  "carry_only": "Carry only",
  "even_steps": "Even carry steps"
 },
 "shortRules": [
  "even_steps",
  "carry_only"
 ],
 "heads": {
  "driver": "driver",
  "fairway": "fairway wood",
  "hybrid": "hybrid",
  "utility": "utility iron",
  "iron": "iron",
  "wedge": "wedge",
  "putter": "putter"
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
  "looks": "Looks, at address",
  "sound": "Sound",
  "feel": "Feel",
  "trust": "Trust, standing over it",
  "tee": "Trust, off the tee"
 },
 "round": [
  "30 to 100 yd",
  "100 to 150 yd",
  "150 to 200 yd",
  "200 to 240 yd"
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
   "name": "Full swing",
   "why": "Only stock shots count for what the club does by itself.",
   "intents": [
    "stock"
   ],
   "shots": 6
  },
  "shaped": {
   "name": "Shaped shots",
   "why": "Others are kept beside them, as what it can be made to do.",
   "intents": [
    "low",
    "high",
    "draw",
    "fade"
   ],
   "shots": 3
  },
  "effort": {
   "name": "Effort",
   "why": "Kept beside the stock swing: what easing off or hitting hard gains or costs.",
   "intents": [
    "eased",
    "hard"
   ],
   "shots": 3
  },
  "yardage": {
   "name": "A yardage by name",
   "why": "Asked to carry so far with this club, eased or gripped down. Kept apart from its stock swing.",
   "intents": [
    "yardage"
   ],
   "shots": 3
  },
  "part_swing": {
   "name": "Part swings",
   "why": "Each wedge full, three-quarter, half and to any hour of the clock: the distance card.",
   "intents": [
    "stock"
   ],
   "shots": 3
  },
  "grooves": {
   "name": "Grooves",
   "why": "An old wedge beside a fresh one of its loft, short, dry and wet: what the wear costs.",
   "intents": [
    "stock"
   ],
   "shots": 5
  },
  "stop": {
   "name": "Stop test",
   "why": "One target, each wedge: where it lands, where it stops, and how far short it must land.",
   "intents": [
    "stock"
   ],
   "shots": 3
  },
  "sole": {
   "name": "Sole test",
   "why": "Two to five soles of one loft, blind, from the lies the player meets: which one he likes best.",
   "intents": [
    "stock"
   ],
   "shots": 3
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
   "fresh": "a fresh copy of the sole played now",
   "nearest": "the sole nearest to the one played now",
   "own": "the player’s own club"
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
  "full": "full",
  "comfortable": "comfortable",
  "three_quarter": "three-quarter",
  "half": "half",
  "7:30": "to 7:30",
  "9:00": "to 9:00",
  "10:30": "to 10:30"
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
  "even": "even steps",
  "lower": "lower flight, more spin",
  "stop": "more stop on short shots",
  "fewer": "fewer wedges",
  "fresh": "the same but fresh",
  "trip": "a trip with another set"
 },
 "complaints": {
  "runs_out": "it does not stop",
  "balloons": "it flies too high",
  "digs": "it digs",
  "thin": "it is thinned",
  "sand": "it stays in the sand",
  "distance": "its distance varies",
  "gap": "its step is wrong",
  "line": "it goes off line",
  "worn": "its grooves are gone"
 },
 "finishes": [
  "raw",
  "plated",
  "coated"
 ],
 "deliveries": {
  "steep": "deep divots",
  "middling": "divots of a usual depth",
  "shallow": "hardly a divot"
 },
 "schools": {
  "shortest": "Shortest first: the most lofted wedge plays the widest set of shots, so its sole and loft come first and the rest is cut up to the set wedge.",
  "set_wedge": "From the set wedge down: its carry is the one that is there, and each wedge steps down from it."
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
 }
} as const;
