"""Two lies in one session: a verdict that turns on the lie a job is met from, first by what is held beforehand of the
kind of head, then by shots that were hit from there."""

import re

from playwright.sync_api import Page, expect
from steps import be_signed_in, session_of
from test_any_club import go


def borrow(page: Page, name: str, kind: str, loft: str) -> None:
    page.keyboard.press("o")
    page.get_by_label("What the borrowed club is called").fill(name)
    page.get_by_label("Kind of the borrowed club").select_option(kind)
    page.get_by_label("Loft of the borrowed club in degrees").fill(loft)
    page.get_by_role("dialog").get_by_role("button", name="On the stand").first.click()
    expect(page.get_by_role("dialog")).to_have_count(0)


def take_in(page: Page, rows: list[tuple[str, str, float, float]]) -> None:
    """A file of shots: club, lie, carry in yards, offline in yards."""
    text = "club,lie,carry_yd,total_yd,offline_yd,landing_deg\n" + "".join(
        f"{club},{lie},{carry},{carry + 6},{offline},46\n" for club, lie, carry, offline in rows
    )
    page.get_by_role("button", name="Import shots").first.click()
    file = {"name": "hit.csv", "mimeType": "text/csv", "buffer": text.encode()}
    page.get_by_label("Shots file").set_input_files(file)
    page.get_by_role("button", name=f"Take in {len(rows)} shots").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    expect(page.get_by_role("dialog")).to_have_count(0)


def around(club: str, lie: str, carry: float, spread: float) -> list[tuple[str, str, float, float]]:
    return [(club, lie, carry + spread * off, 4 * off) for off in (-1.4, 0.3, 1.1, -0.6, 0.9, -0.3, 0.2, -0.2)]


def first_on_the_bench(page: Page) -> str:
    go(page, "4")
    choice = page.get_by_test_id("choice")
    expect(choice).to_be_visible()
    return choice.inner_text()


def test_shots_from_two_lies_turn_the_verdict_between_tee_and_rough(page: Page, application) -> None:
    be_signed_in(page, application)
    session_of(page, re.compile("Mabel Thorne")).click()
    go(page, "2")
    for club, carry, total in (("5W", "157", "166"), ("6i", "113", "119")):
        page.get_by_label("Club to add").fill(club)
        page.get_by_label("Carry in yards").fill(carry)
        page.get_by_label("Total in yards").fill(total)
        page.get_by_role("button", name="Add", exact=True).click()
        page.keyboard.press("Escape")  # the cursor is in the next name
        expect(page.get_by_role("row", name=re.compile(f"{club}.*{carry}.*typed"))).to_be_visible()
    borrow(page, "Lent 7W", "fairway", "21")
    borrow(page, "Lent 4H", "hybrid", "22")
    take_in(page, around("A", "tee", 137, 2) + around("B", "tee", 136, 3))

    go(page, "1")
    page.get_by_role("button", name="+ Tight tee shot").click()
    page.get_by_role("slider", name="Distance in yards").fill("141")
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    page.keyboard.press("Escape")
    assert first_on_the_bench(page).startswith("A ")

    go(page, "1")
    page.get_by_role("button", name="+ Out of the rough").click()
    page.get_by_label("Kind of shot").last.select_option("layup")
    page.get_by_role("slider", name="Distance in yards").last.fill("142")
    page.get_by_role("slider", name="Depth in yards").last.fill("30")
    page.get_by_role("slider", name="Times a round").last.fill("5")
    page.wait_for_timeout(1200)
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    page.keyboard.press("Escape")
    told = first_on_the_bench(page)
    assert told.startswith("B ")
    expect(page.get_by_text(re.compile("^from rough: .*by judgement, not hit from there$"))).to_have_count(2)

    # Hit from there, the wood loses little: its own shots say so, and the verdict is the other again.
    go(page, "2")
    take_in(page, around("A", "rough", 132, 3))
    told = first_on_the_bench(page)
    assert told.startswith("A ")
    expect(page.get_by_text(re.compile("^from rough: .*, with 8 shots hit from there$"))).to_have_count(1)
    expect(page.get_by_text(re.compile("^from rough: .*by judgement, not hit from there$"))).to_have_count(1)
    page.keyboard.press("f")
    expect(page.get_by_text("From rough: 5 yd shorter")).to_be_visible()
