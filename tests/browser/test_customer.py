"""A customer's way with the shop: what they sign, what they are offered, what they take along and can check."""

import re

from playwright.sync_api import expect
from tests.browser.conftest import pass_on

PHONE = {"width": 390, "height": 844}


def draw(page):
    """Sign with the mouse."""
    page.get_by_role("button", name="Sign", exact=True).first.click()
    pad = page.get_by_role("img", name="Pad for a signature")
    pad.scroll_into_view_if_needed()
    box = pad.bounding_box()
    page.mouse.move(box["x"] + 60, box["y"] + 40)
    page.mouse.down()
    for step in range(1, 12):
        page.mouse.move(box["x"] + 60 + 18 * step, box["y"] + 40 + (25 if step % 2 else 5))
    page.mouse.up()
    page.get_by_role("button", name="Keep the signature").click()
    expect(page.get_by_text(re.compile("taken by Imke Brandvold")).first).to_be_visible()


class Hands:
    """Counts what a person does: each press, each field that is filled in."""

    def __init__(self, page):
        self.page = page
        self.actions = 0

    def press(self, name):
        self.actions += 1
        self.page.get_by_role("button", name=name).or_(self.page.get_by_role("link", name=name)).first.click()


def test_from_the_counter_to_the_link_on_a_phone_and_the_check_page(page, browser, logs, tmp_path):
    page.goto("/jobs/new")
    page.get_by_label("Customer", exact=True).fill("Runa Petrosyan")
    page.get_by_label("Model", exact=True).fill("Marrow 15 counter")
    page.get_by_text("Asked later, where it is needed").click()
    page.get_by_label("Serial number").fill("M15-COUNTER-1")
    page.get_by_label("Temperature limit").fill("95")
    page.get_by_role("group", name="Warranty").get_by_label("Over").check(force=True)
    page.get_by_role("group", name="Backup done").get_by_label("Yes").check(force=True)
    page.get_by_role("button", name="Take it in").click()
    expect(page.get_by_role("heading", name="Before: how hot does it come in?")).to_be_visible()
    job = re.search("/jobs/([0-9a-f-]{36})", page.url)[1]

    # Intake evidence, signed.
    page.goto(f"/jobs/{job}/counter")
    page.get_by_label("What came along").fill("Charger")
    page.get_by_label("Price limit without asking").fill("120")
    page.get_by_label("Other limits agreed").click()
    expect(page.get_by_text("Up to €120.00 the shop works without asking again.")).to_be_visible()
    expect(page.get_by_text("The passcode was not asked for.")).to_be_visible()
    draw(page)
    with page.expect_download() as ticket:
        page.get_by_role("link", name="Ticket").click()
    assert ticket.value.path().read_bytes().startswith(b"%PDF-")

    # Before, and a quote of what the plan offers.
    page.goto(f"/jobs/{job}/before")
    page.get_by_label(re.compile("Drop the Before log here")).set_input_files(logs[0])
    expect(page.get_by_text("Load starts at 0:30").first).to_be_visible()
    for label, text in (("Room", "24"), ("Load", "even load"), ("Fan setting", "automatic"), ("Placement", "stand")):
        page.get_by_label(label, exact=True).fill(text)
    page.keyboard.press("Tab")
    expect(page.get_by_text(re.compile("24.0 °C · even load · automatic"))).to_be_visible()
    page.goto(f"/jobs/{job}/counter")
    page.get_by_role("button", name="Make a quote").click()
    options = page.get_by_role("group", name="Which options").get_by_role("checkbox")
    options.nth(1).check(force=True)
    page.get_by_role("button", name="Make the quote").click()
    expect(page.get_by_text("Waits for an answer")).to_be_visible()
    quote = page.get_by_role("link", name="/q/").get_attribute("href")

    phone = browser.new_context(viewport=PHONE, locale="en-GB")
    customer = phone.new_page()
    customer.goto(quote)
    customer.get_by_role("radio").first.check()
    customer.get_by_role("button", name="Accept at this price").click()
    expect(customer.get_by_text("The shop knows.")).to_be_visible()
    page.reload()
    expect(page.get_by_text(re.compile("^Accepted "))).to_be_visible()

    # The job itself.
    page.goto(f"/jobs/{job}/fit")
    page.get_by_label("Fins").check(force=True)
    page.get_by_role("button", name="Done, go on to After").click()
    page.get_by_label(re.compile("Drop the After log here")).set_input_files(logs[1])
    expect(page.get_by_text(re.compile("^cool.csv · "))).to_be_visible()
    page.get_by_label("Room", exact=True).fill("25")
    page.keyboard.press("Tab")
    expect(page.get_by_text(re.compile("25.0 °C · even load"))).to_be_visible()

    # From After to handed over.
    hands = Hands(page)
    hands.press("Go on to Verdict")
    hands.press("Go on to Hand over")
    page.get_by_label("Price", exact=True).fill("89")
    hands.actions += 1
    hands.press("Hand Marrow 15 counter over")
    expect(page.get_by_role("link", name="Version 1")).to_be_visible()
    assert hands.actions <= 6
    page.get_by_role("button", name="Make a link").click()
    link = page.get_by_role("link", name="/r/").get_attribute("href")

    # The record on a phone, without an account, and what is kept of it.
    customer.goto(link)
    expect(customer.get_by_role("heading", name=re.compile("Marrow 15 counter: improved"))).to_be_visible()
    expect(customer.get_by_text("It no longer has to slow itself down to stay cool.")).to_be_visible()
    with customer.expect_download() as download:
        customer.get_by_role("link", name="As signed data file").click()
    kept = tmp_path / "record.zip"
    kept.write_bytes(download.value.path().read_bytes())
    customer.get_by_role("link", name="Check a data file").click()
    customer.set_input_files("input[type=file]", kept)
    expect(customer.get_by_text("is as it was signed on")).to_be_visible()
    assert "draft" not in customer.locator("main").inner_text()

    # Withdrawn, the link opens nothing; the pick-up is acknowledged.
    # A press that cannot be taken back asks first, and two at once are one.
    page.get_by_role("button", name="Withdraw").dblclick()
    expect(page.get_by_role("button", name="Keep it")).to_be_visible()
    pass_on(page, 700)
    page.get_by_role("button", name="Withdraw for good").click()
    expect(page.get_by_text("The link is withdrawn")).to_be_visible()
    customer.goto(link)
    expect(customer.get_by_text("This link was withdrawn by the shop")).to_be_visible()
    page.goto(f"/jobs/{job}/counter")
    expect(page.get_by_text("I have been given the record of the service.")).to_be_visible()
    draw(page)
    phone.close()
