"""The player's screen beside the fitter's: feel before numbers, and nothing shown that the fitter does not allow."""

import re

from playwright.sync_api import Browser, Page, expect
from steps import accessible, be_signed_in, session_of


def open_screen(page: Page) -> str:
    """The code of the player's screen, with the monitor's own turned away."""
    session_of(page, "Ines Duarte").click()
    page.wait_for_url(re.compile(r"/sessions/\d+/"))  # the desk has links of this name too
    page.get_by_role("link", name="Bay", exact=False).filter(has_text="3").click()
    page.get_by_role("button", name="Open a screen").click()
    page.get_by_role("dialog").get_by_role("button", name="Open a screen").click()
    code = page.get_by_test_id("player-code").inner_text()
    expect(page.get_by_alt_text("Code to scan with the tablet")).to_be_visible()
    page.keyboard.press("Escape")
    page.get_by_label(re.compile("Turn the monitor’s own screen away")).check()
    return code


def say(player: Page) -> None:
    """Four marks on the build that is asked about."""
    ask = player.get_by_test_id("ask-feel")
    expect(ask).to_be_visible()
    letter = ask.get_by_role("heading").inner_text()[0]
    for asked, mark in (("Looks, at address", 4), ("Sound", 3), ("Feel", 5), ("Trust, standing over it", 4)):
        player.get_by_role("button", name=f"{asked}: {mark}").tap()
    player.get_by_role("button", name="Done").tap()
    expect(ask.get_by_role("heading", name=re.compile(f"^{letter}"))).to_have_count(0)


def test_the_players_screen_through_every_mode(page: Page, browser: Browser, application) -> None:
    be_signed_in(page, application)
    code = open_screen(page)
    tablet = browser.new_context(viewport={"width": 1024, "height": 768}, has_touch=True, locale="en-GB")
    player = tablet.new_page()
    heard: list[str] = []
    player.on("response", lambda answer: heard.append(answer.url) if "/api/" in answer.url else None)
    player.goto(f"{application.address}/player")
    player.get_by_label("Code on the fitter’s screen").fill(code.lower())
    player.get_by_role("button", name="Open").tap()

    # Feel first: what was hit so far is asked about, one build after the other, and no number is there.
    expect(player.get_by_test_id("ask-feel")).to_be_visible()
    accessible(player)
    for _ in range(3):
        say(player)
    expect(player.get_by_test_id("player-blind")).to_have_text(re.compile(r"^C6 shots$"))

    # A shot is counted on both screens without either being touched.
    page.get_by_role("button", name="Hit 1").click()
    expect(player.get_by_test_id("player-blind")).to_have_text("C7 shots")
    expect(page.get_by_role("button", name=re.compile("^Shot 7"))).to_be_visible()

    shown = page.get_by_role("region", name="The player’s screen")

    def turn(to: str) -> None:
        page.keyboard.press("9")
        expect(shown).to_contain_text(f"Shows {to}")

    turn("simple")
    carry = page.get_by_test_id("last-carry").inner_text()
    expect(player.get_by_test_id("player-carry")).to_have_text(carry)
    expect(player.get_by_text("Spin")).to_have_count(0)
    turn("full")
    expect(player.get_by_text("Spin")).to_be_visible()
    expect(player.get_by_text("Attack angle")).to_have_count(0)
    accessible(player)
    turn("blind")
    expect(player.get_by_test_id("player-blind")).to_be_visible()

    # It stands beside the numbers on the Bench, and with a veto before them.
    page.keyboard.press("8")
    page.get_by_role("dialog").get_by_role("button", name="I will not play this one").click()
    page.get_by_role("dialog").get_by_role("button", name="Done").click()
    expect(page.get_by_role("dialog")).to_have_count(0)
    page.get_by_role("link", name=re.compile("Bench")).click()
    felt = page.get_by_text(re.compile("The player felt: looks 4, sound 3, feel 5, trust 4$"))
    expect(felt).to_have_count(2)
    expect(page.get_by_text("Vetoed").first).to_be_visible()

    # Taken back, it goes blank at once and says what to do.
    page.get_by_role("link", name=re.compile("Bay")).click()
    page.get_by_role("button", name=f"Code {code}").click()
    page.get_by_role("button", name="Take the code back").click()
    expect(player.get_by_role("alert")).to_have_text("This code opens nothing any more. Ask the fitter for a new one.")
    assert all("/api/player/" in address for address in heard)
    tablet.close()
