"""What is typed is kept: two tabs, a server that stops, a sign-in that ends, a reload in mid-word, a key in a list."""

from __future__ import annotations

import os
import re
import signal
import time

import psycopg
import pytest
from playwright.sync_api import Browser, Page, expect
from steps import be_signed_in, comes, servers


def brief(page: Page, application, number: int = 1) -> None:
    page.goto(f"{application.address}/sessions/{number}/brief")
    page.get_by_label("Notes").wait_for()


@pytest.fixture
def tab(browser: Browser, browser_context_args, application):
    """A browser of its own, signed in, on the Brief of the session in the middle; its console may complain of a server
    that is away."""
    context = browser.new_context(**browser_context_args)
    page = context.new_page()
    be_signed_in(page, application)
    brief(page, application)
    yield page
    context.close()


def stored(application, what: str):
    with psycopg.connect(application.database) as database:
        return database.execute(f"SELECT {what} FROM fitting_fittingsession WHERE id = 1").fetchone()[0]


def test_two_tabs_write_side_by_side_and_a_clash_shows_both_texts(tab: Page, application) -> None:
    other = tab.context.new_page()
    brief(other, application)
    tab.get_by_label("Notes").fill("Sore wrist since spring")
    other.get_by_label("Budget").fill("420")
    expect(tab.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    expect(other.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    # Neither has lost the other's word, and each sees it.
    expect(other.get_by_label("Notes")).to_have_value("Sore wrist since spring")
    expect(tab.get_by_label("Budget")).to_have_value(re.compile("420"))
    assert (stored(application, "notes"), int(stored(application, "budget"))) == ("Sore wrist since spring", 420)
    # Both write in one field while neither hears of the other.
    other.context.set_offline(True)
    tab.get_by_label("Notes").fill("Wrist: from the first tab")
    other.get_by_label("Notes").fill("Wrist: from the second tab")
    expect(other.get_by_text("for the line")).to_be_visible()
    with psycopg.connect(application.database) as database:
        database.execute("UPDATE fitting_fittingsession SET notes = 'Said at the desk' WHERE id = 1")
    other.context.set_offline(False)
    clash = other.get_by_role("alert", name="Two people wrote here")
    expect(clash).to_contain_text("Wrist: from the second tab")
    other.get_by_role("button", name="Keep mine").click()
    expect(clash).to_be_hidden()
    expect(other.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    assert stored(application, "notes") == "Wrist: from the second tab"


def test_what_is_typed_while_the_server_is_stopped_is_saved_when_it_is_back(tab: Page, application) -> None:
    tab.get_by_label("Notes").fill("Before")
    expect(tab.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    pids = servers(application)
    os.kill(application.process.pid, signal.SIGSTOP)  # nobody starts it again for now
    for pid in pids:
        os.kill(pid, signal.SIGKILL)
    tab.get_by_label("Notes").fill("While it was away")
    tab.get_by_label("Clubs carried").fill("13")
    # One, or two where the first was on its way before the second was typed.
    expect(tab.get_by_text(re.compile(r"^\d changes? waits? for the line"))).to_be_visible()
    tab.wait_for_timeout(700)
    os.kill(application.process.pid, signal.SIGCONT)
    expect(tab.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    assert (stored(application, "notes"), stored(application, "most_clubs")) == ("While it was away", 13)


def test_a_sign_in_that_ends_leaves_the_screen_and_goes_on_from_it(tab: Page, application) -> None:
    with psycopg.connect(application.database) as database:
        database.execute("DELETE FROM django_session")
    tab.get_by_label("Notes").fill("Typed after it ended")
    again = tab.get_by_role("dialog", name="Sign in again")
    expect(again).to_be_visible()
    expect(tab.get_by_label("Notes")).to_have_value("Typed after it ended")
    # Who comes back is known: what is typed now is the password, not in clear behind the name.
    expect(again.get_by_label("Password")).to_be_focused()
    tab.keyboard.type(application.password)
    again.get_by_role("button", name="Sign in").click()
    expect(again).to_be_hidden()
    expect(tab.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    assert stored(application, "notes") == "Typed after it ended"


def test_a_reload_in_mid_word_loses_no_letter(tab: Page, application) -> None:
    tab.get_by_label("Notes").fill("")
    tab.get_by_label("Notes").press_sequentially("Half a wor")
    tab.reload()
    expect(tab.get_by_label("Notes")).to_have_value("Half a wor")
    tab.get_by_label("Notes").press("End")
    tab.get_by_label("Notes").press_sequentially("d")
    assert comes(lambda: stored(application, "notes") == "Half a word")


def test_a_digit_or_letter_in_a_list_or_a_slider_stays_there_and_reasons_stay_through_places(
    tab: Page, application
) -> None:
    tab.get_by_label("Shape wanted").focus()
    tab.keyboard.press("4")
    tab.get_by_role("button", name=re.compile("^Second into the 14th")).click()
    tab.get_by_role("slider", name="Distance in yards").focus()
    tab.keyboard.press("5")
    assert tab.url.endswith("/brief")
    tab.goto(f"{application.address}/sessions/1/handover")
    tab.get_by_label("Reasons").fill("Because it lands softly")
    tab.keyboard.press("Escape")
    tab.keyboard.press("2")
    expect(tab).to_have_url(re.compile("/bag$"))
    tab.keyboard.press("5")
    expect(tab.get_by_label("Reasons")).to_have_value("Because it lands softly")
    tab.reload()
    expect(tab.get_by_label("Reasons")).to_have_value("Because it lands softly")


def test_typed_without_a_line_reloaded_and_typed_on_is_one_text(tab: Page, application) -> None:
    tab.get_by_label("Notes").fill("")
    expect(tab.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    tab.route("**/api/**", lambda route: route.abort())
    tab.get_by_label("Notes").fill("Typed in the field")
    expect(tab.get_by_text(re.compile(r"waits? for the line"))).to_be_visible()
    tab.reload()
    expect(tab.get_by_label("Notes")).to_have_value("Typed in the field")
    tab.get_by_label("Notes").press("End")
    tab.get_by_label("Notes").press_sequentially(", and on")
    tab.unroute("**/api/**")
    expect(tab.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    expect(tab.get_by_label("Notes")).to_have_value("Typed in the field, and on")
    expect(tab.get_by_role("alert", name="Two people wrote here")).to_have_count(0)
    assert comes(lambda: stored(application, "notes") == "Typed in the field, and on")


def test_a_server_that_stands_still_under_an_open_bay_is_said_within_seconds(tab: Page, application) -> None:
    tab.goto(tab.url.replace("/brief", "/bay"))
    expect(tab.get_by_text("Feed open")).to_be_visible()
    pids = servers(application)
    os.kill(application.process.pid, signal.SIGSTOP)
    for pid in pids:
        os.kill(pid, signal.SIGSTOP)
    began = time.monotonic()
    try:
        expect(tab.get_by_text(re.compile(r"^Nothing heard since \d\d:\d\d:\d\d"))).to_be_visible()
        assert time.monotonic() - began < 12  # 6 s, and as much again where a machine is busy
    finally:
        for pid in [*pids, application.process.pid]:
            os.kill(pid, signal.SIGCONT)
    expect(tab.get_by_text("Feed open")).to_be_visible()
