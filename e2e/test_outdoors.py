"""At the green without a line: the stop test goes on, through a reload, and is on record once the line is back."""

import os
import re
import signal

from playwright.sync_api import Browser, expect
from steps import be_signed_in, servers, session_of
from test_any_club import go


def test_a_ball_seen_without_a_line_and_through_reloads_is_on_record_when_it_is_back(
    browser: Browser, application
) -> None:
    context = browser.new_context(viewport={"width": 1024, "height": 768}, locale="en-GB", has_touch=True)
    page = context.new_page()
    be_signed_in(page, application)
    session_of(page, re.compile("Yusuf Tarrant")).click()
    expect(page.get_by_role("link", name=re.compile("Bay"))).to_be_visible()
    go(page, "3")
    page.keyboard.press("w")
    page.get_by_role("button", name="Stop test", exact=True).tap()
    wedge = page.get_by_role("group", name="Wedge of the stop test").get_by_role("button", name=re.compile("^58°"))
    wedge.tap()
    expect(wedge).to_contain_text("3 ✓")
    # The application and what was read of the session are on the device.
    page.evaluate("navigator.serviceWorker.ready")
    page.wait_for_timeout(2500)
    pids = servers(application)
    os.kill(application.process.pid, signal.SIGSTOP)  # nobody starts it again for now
    for pid in pids:
        os.kill(pid, signal.SIGKILL)
    try:
        for far in (0.5, 0.55):
            page.reload()
            expect(page.get_by_role("region", name="Stop test")).to_be_visible()
            wedge.tap()
            box = page.get_by_test_id("green").bounding_box()
            assert box is not None
            for at in (far, far + 0.1):
                page.touchscreen.tap(box["x"] + box["width"] * at, box["y"] + box["height"] / 2)
                page.wait_for_timeout(200)
        # What has no line yet is on the picture all the same.
        expect(wedge).to_contain_text("5 ✓")
        expect(page.get_by_text(re.compile("changes? wait"))).to_be_visible()
    finally:
        os.kill(application.process.pid, signal.SIGCONT)
    expect(page.get_by_text(re.compile(r"^Saved \d"))).to_be_visible()
    page.reload()
    expect(wedge).to_contain_text("5 ✓")
    wedge.tap()
    expect(page.get_by_role("list", name="Balls of this wedge").get_by_role("button", disabled=False)).to_have_count(3)
    context.close()
