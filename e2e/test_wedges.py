"""A wedge fitting from the ends to the handover: ends hit, the space cut, a wedge of the rack, a bend predicted and
hit, effort found, a plan of both ends, agreed."""

import re

from playwright.sync_api import Page, expect
from steps import accessible, be_signed_in, session_of
from test_any_club import go


def hit(page: Page, application, shots: int, of_them: int | None = None) -> None:
    """So many shots with what is in hand, and wait until they are there. of_them: in the list by then."""
    played = application.launch("monitor", "--bay", "Bay 1", "--shots", str(shots), "--every", "0")
    assert played.returncode == 0, played.stderr
    listed = page.get_by_role("list", name="Shots of this build").get_by_role("listitem")
    expect(listed).to_have_count(of_them or shots)


def take(page: Page, name: str) -> None:
    stand = page.locator("aside").filter(has=page.get_by_role("heading", name="On the stand"))
    if stand.get_by_role("button", name="The player’s own clubs", exact=True).count():
        stand.get_by_role("button", name="The player’s own clubs", exact=True).click()
    stand.get_by_role("button", name=re.compile(f"^{name}")).click()
    expect(stand.get_by_role("button", name=re.compile(f"^{name}"), pressed=True)).to_be_visible()


def swing(page: Page, length: str) -> None:
    chosen = page.get_by_label("How long the next swings are")
    if not chosen.count():
        page.get_by_role("button", name=re.compile("^Next: ")).click()
    chosen.select_option(length)
    expect(chosen).to_have_value(length)
    expect(page.get_by_test_id("run-bar")).to_be_visible()
    page.keyboard.press("Escape")


def lay_out(page: Page) -> None:
    """The interview: the wedges, what the 54 is used for and what bothers with it, a short job."""
    page.get_by_role("button", name="The wedges", exact=True).click()
    expect(page.get_by_role("heading", name="The wedges")).to_be_visible()
    row = page.get_by_role("listitem").filter(has_text=re.compile("^54°"))
    row.get_by_label("Bounce °").fill("10")
    row.get_by_label("Bounce °").press("Tab")
    row.get_by_label("full").fill("1.5")
    row.get_by_label("full").press("Tab")
    expect(row.get_by_label("full")).to_have_value("1.5")
    row.get_by_role("button", name="its distance varies").or_(
        row.get_by_role("button", name="distance varies")
    ).first.click()
    expect(row.get_by_role("button", name="distance varies", pressed=True)).to_be_visible()
    page.get_by_role("button", name="even steps").click()
    page.get_by_role("button", name="+ Full wedge into a green").click()
    page.get_by_role("slider", name="Distance in yards").fill("66")
    page.get_by_role("slider", name="Depth in yards").fill("16")
    expect(page.get_by_text("The space between the ends is cut into equal steps.")).to_be_visible()
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()


def clubs(page: Page) -> None:
    """The bag by name: what is hit here, and two that are typed."""
    go(page, "2")
    for club, carry, total in (
        ("5W", "157", "166"), ("7i", "112", "117"), ("9i", "", ""), ("PW", "", ""), ("54", "", ""), ("58", "", ""),
    ):  # fmt: skip
        page.get_by_label("Club to add").fill(club)
        page.get_by_label("Carry in yards").fill(carry)
        page.get_by_label("Total in yards").fill(total)
        page.get_by_role("button", name="Add", exact=True).click()
        page.keyboard.press("Escape")  # the cursor is in the next name
        expect(page.get_by_label("Club to add")).to_have_value("")


def hit_the_ends(page: Page, application) -> None:
    """Both ends, the 58 no further than would be hit on the course; and the 54 at three quarters."""
    go(page, "3")
    for name in ("9i", "PW"):
        take(page, name)
        hit(page, application, 5)
    take(page, "58°")
    swing(page, "comfortable")
    expect(page.get_by_text("that is the club’s stock swing from here on")).to_be_visible()
    hit(page, application, 5)
    take(page, "54°")
    swing(page, "full")
    hit(page, application, 5)
    swing(page, "three_quarter")
    hit(page, application, 4, 9)
    swing(page, "full")
    go(page, "2")
    page.keyboard.press("w")
    short = page.get_by_label("Order of work")
    expect(short.get_by_role("listitem").filter(has_text="Both ends")).to_contain_text("done")
    expect(page.get_by_role("group", name="Carry map of Mabel Thorne")).to_contain_text("yd widest step")
    steps = page.get_by_role("table", name="Steps", exact=True).get_by_role("row")
    expect(steps).to_have_count(4)


def cut(page: Page) -> None:
    """The space is cut; the other end and the whole are a key away."""
    cut = page.get_by_label("The cut", exact=True)
    cut.get_by_role("button", name="1", exact=True).click()
    expect(cut.get_by_role("listitem")).to_have_count(1)
    expect(cut.get_by_role("listitem")).to_contain_text("Carry ")
    drawn = page.get_by_role("group", name="Carry map of Mabel Thorne")
    expect(drawn.get_by_role("button", name=re.compile("^7i"))).to_have_count(0)
    page.keyboard.press("e")
    page.keyboard.press("e")
    expect(drawn.get_by_role("button", name=re.compile("^7i"))).to_have_count(1)


def bend(page: Page, application) -> None:
    """A wedge of the rack, then bent: predicted on the Bench, made, and hit as a build of its own."""
    page.keyboard.press("k")
    row = page.get_by_role("listitem").filter(has=page.get_by_label("Shaft for 54 M"))
    row.get_by_role("button", name="On the stand").click()
    expect(row.get_by_text(re.compile("^A$"))).to_be_visible()
    page.get_by_role("button", name="Close").click()
    go(page, "3")
    take(page, "A")
    hit(page, application, 5)
    go(page, "4")
    page.keyboard.press("i")
    bend = page.get_by_role("row", name=re.compile("1° weaker"))
    expect(bend).to_contain_text("±")
    bend.get_by_role("button", name="Make and test A 1° weaker").click()
    expect(page).to_have_url(re.compile("/bay$"))
    hit(page, application, 5)
    go(page, "4")
    page.keyboard.press("t")
    effort = page.get_by_label("Effort").get_by_role("row", name=re.compile("^three-quarter"))
    expect(effort).to_be_visible()
    expect(page.get_by_text(re.compile("^Three-quarter: "))).to_be_visible()
    expect(page.get_by_text(re.compile("54°, “its distance varies”:"))).to_be_visible()
    page.keyboard.press("f")
    expect(page.get_by_label("Flight by loft").locator("> ul > li")).to_have_count(5)
    page.keyboard.press("w")
    card = page.get_by_role("listitem").filter(has_text=re.compile("^B.*Carries"))
    expect(card).to_be_visible()


def plan_both_ends(page: Page) -> None:
    """A hybrid beside the wedges, as plans under one limit of clubs."""
    go(page, "1")
    page.get_by_role("button", name="Both ends", exact=True).click()
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    page.keyboard.press("Escape")
    go(page, "2")
    page.keyboard.press("k")
    there = page.get_by_role("listitem").filter(has=page.get_by_role("button", name="On the stand"))
    hybrid = there.filter(has=page.get_by_label("Shaft for 4H")).first
    hybrid.get_by_role("button", name="On the stand").click()
    expect(hybrid.get_by_text(re.compile("^C$"))).to_be_visible()
    page.get_by_role("button", name="Close").click()
    page.keyboard.press("p")
    expect(page.get_by_text("Proposed").locator("visible=true").first).to_be_visible()
    page.keyboard.press("Escape")
    go(page, "1")
    page.get_by_role("button", name="The wedges", exact=True).click()
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    page.keyboard.press("Escape")


def agree(page: Page) -> None:
    """The bent one: its build sheet, the complaint answered, agreed."""
    page.keyboard.press("5")
    page.get_by_role("radio", name=re.compile("B 54")).check()
    sheet = page.get_by_label("Build sheet of B").or_(page.locator("section").filter(has_text="Loft as bent")).first
    for line in ("Loft as bent", "Bounce", "Sole", "1° weaker"):
        expect(sheet).to_contain_text(line)
    expect(page.get_by_label("What bothers the player")).to_contain_text("its distance varies")
    page.get_by_label("Reasons").fill("It sits where the cut asks for it.")
    page.get_by_role("button", name="Agree").click()
    page.get_by_role("button", name="Yes, that is it").click()
    expect(page.get_by_text(re.compile("^✓ Agreed .* by Rowan Ashby$"))).to_be_visible()
    expect(page.get_by_label("What bothers the player")).to_contain_text("its distance varies")


def test_a_wedge_fitting_from_the_ends_to_the_handover(page: Page, application) -> None:
    be_signed_in(page, application)
    session_of(page, re.compile("Mabel Thorne")).click()
    clubs(page)
    page.keyboard.press("Escape")
    go(page, "1")
    lay_out(page)
    accessible(page)
    page.keyboard.press("Escape")
    hit_the_ends(page, application)
    cut(page)
    accessible(page)
    bend(page, application)
    plan_both_ends(page)
    agree(page)
    accessible(page)


def test_part_swings_are_hit_by_touch_and_the_distance_card_is_printed(page: Page, application) -> None:
    be_signed_in(page, application)
    session_of(page, re.compile("Yusuf Tarrant")).click()
    expect(page.get_by_role("link", name=re.compile("Bay"))).to_be_visible()
    go(page, "3")
    page.keyboard.press("w")
    page.get_by_role("button", name="Part swings", exact=True).click()
    grid = page.get_by_role("table", name="Shots of Part swings")
    grid.get_by_role("button", name=re.compile("^58° half, 2 of 3")).click()
    expect(page.get_by_text("58°, half: 1 more shot.").locator("visible=true")).to_be_visible()
    played = application.launch("monitor", "--bay", "Bay 2", "--shots", "1", "--every", "0")
    assert played.returncode == 0, played.stderr
    expect(grid.get_by_role("button", name=re.compile("^58° half, 3 of 3"))).to_be_visible()
    page.keyboard.press("]")
    expect(grid.get_by_role("button", pressed=True)).to_have_accessible_name(re.compile("^58° .*, 0 of 3"))
    page.keyboard.press("w")
    page.get_by_role("button", name="Stop test", exact=True).click()
    page.get_by_role("group", name="Wedge of the stop test").get_by_role("button", name=re.compile("^58°")).click()
    ground = page.get_by_test_id("green")
    box = ground.bounding_box()
    assert box is not None
    for _ in range(2):
        ground.click(position={"x": box["width"] * 0.52, "y": box["height"] * 0.5})
        expect(page.get_by_text("Now where it stopped.")).to_be_visible()
        ground.click(position={"x": box["width"] * 0.62, "y": box["height"] * 0.5})
        expect(page.get_by_text("Touch where it landed.")).to_be_visible()
    # The picture reaches from 4 to 37 yd.
    seen = page.get_by_role("list", name="Balls of this wedge").get_by_role("button", name="Landed 21, stopped 24")
    expect(seen).to_have_count(2)
    accessible(page)
    go(page, "4")
    page.keyboard.press("t")
    told = page.get_by_role("region", name="Stop test").get_by_role("listitem")
    expect(told.filter(has_text=re.compile("^58° lands 22, releases 3: land it 3 yd short"))).to_be_visible()
    go(page, "2")
    card = page.get_by_role("table", name="Distance card")
    expect(card.get_by_role("row", name=re.compile("58°"))).to_contain_text("comfortable")
    accessible(page)
    page.get_by_role("link", name="To print").click()
    figure = card.get_by_role("row", name=re.compile("^54°")).get_by_role("cell").first
    expect(figure).to_have_text(re.compile(r"^\d+$"))
    for size, box in (("Bank card", (85.6, 54)), ("A6", (105, 148))):
        page.get_by_role("button", name=size).click()
        accessible(page)
        printed = page.pdf(prefer_css_page_size=True)
        sides = re.search(rb"/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]", printed)
        assert sides is not None and printed.count(b"/Type /Page\n") == 1
        assert [round(float(each) / 72 * 25.4) for each in sides.groups()] == [round(each) for each in box]
