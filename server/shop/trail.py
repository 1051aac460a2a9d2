"""The trail of acts in words."""

from __future__ import annotations

from .models import AuditEntry

WORDS = {
    "session.open": "opened the session",
    "session.ask": "changed what the player is asked to hit",
    "brief.write": "wrote in the brief",
    "gap.choose": "chose the gap in work",
    "rules.choose": "chose how the holes are drawn",
    "target.set": "overruled a target",
    "club.add": "put a club in the bag",
    "club.change": "changed a club",
    "club.averages": "typed averages",
    "club.state": "stated what a club is",
    "club.drop": "took a club out",
    "build.add": "put a build on the stand",
    "build.turn": "turned a build to another setting",
    "build.make": "made a club otherwise",
    "build.borrow": "put a borrowed club on the stand",
    "build.level": "turned the stand to one loft",
    "build.accept": "took a build into the bag for now",
    "build.release": "took a build out of the bag again",
    "build.in_hand": "took a build in hand",
    "shot.aside": "set a shot aside",
    "shot.back": "brought a shot back",
    "shot.strike": "called a strike",
    "shot.typed": "typed a shot",
    "shot.counts": "said what of a shot counts",
    "shot.pin": "kept a shot in sight to copy",
    "shot.unpin": "no longer kept a shot in sight",
    "session.swing": "noted that the swing was changed",
    "session.swing_back": "took back that the swing was changed",
    "session.lie": "said what is hit from next",
    "player.mode": "said what the player's screen shows",
    "player.open": "opened a screen for the player",
    "player.close": "closed the player's screen",
    "session.task": "took up what a test asks for",
    "grooves.blind": "put two wedges under codes for the groove test",
    "grooves.guess": "wrote down which code the player takes for the new one",
    "grooves.reveal": "revealed the groove test",
    "grooves.stop": "gave the blind groove test up",
    "stop.green": "set what the stop test is played to",
    "stop.seen": "saw a ball stop",
    "stop.aside": "changed whether a ball of the stop test counts",
    "sole.set_up": "set up a blind sole test",
    "sole.said": "wrote down what a code was like",
    "sole.changed": "put right what was said of a code",
    "sole.return": "went back to a lie",
    "sole.guess": "wrote down which code the player takes for his own",
    "sole.reveal": "revealed the sole test",
    "sole.stop": "gave the sole test up",
    "sole.choose": "chose a sole",
    "sole.lofts": "tries the chosen sole in other lofts",
    "sole.link": "looked at which code is which club",
    "sole.hand_out": "gave a code for the assistant's page",
    "sole.opened": "opened the assistant's page",
    "sole.course": "gave a code for notes of the course",
    "sole.note": "wrote down what the course said",
    "player.course": "wrote what the course said",
    "player.felt": "said what a build felt like",
    "session.wait": "said which contender is not here yet",
    "session.run": "said how the next shots are hit",
    "session.day": "said what kind of day it is",
    "window.roll": "hit so much with a build that its window is by its own roll from now on",
    "shop.columns": "changed what the Bench reads out",
    "shot.club": "said that a shot is of the club it is filed under",
    "shots.change": "changed several shots",
    "act.undo": "took something back",
    "act.redo": "did something again",
    "shot.move": "moved a shot to another build",
    "shots.import": "brought in a file of shots",
    "shots.import_undone": "took the shots of a file back",
    "shots.import_redone": "brought the shots of a file in again",
    "plan.keep": "kept a plan",
    "plan.drop": "took a plan away",
    "handover.agree": "agreed",
    "handover.correct": "corrected what was agreed",
    "feed.shot": "sent a shot",
    "feed.refused": "sent a shot that no golf shot can be; it is not stored",
    "feed.differs": "sent a shot again with other readings; the first stands",
    "feed.tray": "sent shots to the tray",
    "tray.file": "filed shots of the tray",
    "tray.put_away": "put shots of the tray away",
    "tray.back": "brought shots back to the tray",
    "stand_in.start": "let the stand-in hit",
    "stand_in.stop": "stopped the stand-in",
    "key.make": "made a key for a monitor",
    "key.revoke": "revoked a monitor's key",
    "customer.add": "added a customer",
    "customer.edit": "changed a customer's data",
    "customer.merge": "merged two customers",
    "customer.part": "took a merging back",
    "customer.erase": "erased a customer",
    "customer.export": "exported a customer's data",
    "rack.head": "changed a head of the rack",
    "rack.shaft": "changed a shaft of the rack",
    "rack.off": "took something off the rack",
    "rack.on": "put something back on the rack",
    "rack.bring_in": "brought in a file of the rack",
    "rack.usual": "put the usual lofts on the rack",
    "shop.open": "opened the shop",
    "shop.thresholds": "changed the thresholds",
    "shop.rules": "changed how long things are kept",
    "shop.name": "changed what the shop is called, its money or its ground",
    "bay.add": "added a bay",
    "bay.change": "changed what a bay is called or how its shots come in, or closed or opened it",
    "bay.set": "changed a bay",
    "bay.share": "said whose player hits in turn",
    "bay.turn": "handed the bay to the player who is up",
    "person.add": "added a person",
    "person.change": "changed a person",
    "person.reset": "gave a person a new password",
    "me.password": "changed their own password",
    "me.keys": "changed their keys",
    "me.units": "chose the units they read in",
    "me.end_others": "ended their other sign-ins",
}


NOBODY = {"sole.opened": "The assistant"}


def who(entry: AuditEntry) -> str:
    """Whoever did it, as they are called; a monitor has no name of its own."""
    nobody = "The player" if entry.action.startswith("player.") else NOBODY.get(entry.action, "A monitor")
    return nobody if entry.actor is None else entry.actor.get_full_name() or entry.actor.username


def named(entry: AuditEntry) -> str:
    """What was done, with what it was done to: `set shot 7 aside`."""
    words = WORDS.get(entry.action, entry.action)
    number, letter = entry.detail.get("number"), entry.detail.get("letter") or entry.detail.get("name")
    code = entry.detail.get("code")
    if number:
        words = words.replace("a shot", f"shot {number}", 1)
    if code:
        words = words.replace("a code", str(code), 1)
    if letter:
        words = words.replace("a build", letter, 1)
    did = WORDS.get(entry.detail.get("did", ""))
    return words.replace("something", f"“{did}”", 1) if did else words


def in_words(entry: AuditEntry) -> str:
    """One entry as a sentence."""
    return f"{who(entry)} {named(entry)}."
