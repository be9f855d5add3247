"""The bench in a real browser: an alloy job by keyboard with the line down in the middle and a second tablet watching,
a plain repaste in few actions, maps, photos, and clocks that survive."""

import io
import json
import re
from datetime import timedelta

import pytest
from PIL import Image
from playwright.sync_api import expect
from tests.browser.conftest import pass_on, tread

from vividowl.service import clock
from vividowl.service.bench import taking
from vividowl.service.bench import view as bench_view
from vividowl.service.bench import work as bench_work
from vividowl.service.jobs import today as bench

API = """async ([method, url, body]) => {
  const { csrf_token } = await (await fetch('/api/session')).json();
  const headers = { 'X-CSRFToken': csrf_token, 'Content-Type': 'application/json' };
  const answer = await fetch(url, { method, headers, body: body === null ? undefined : JSON.stringify(body) });
  if (!answer.ok) throw new Error(await answer.text());
  return answer.json();
}"""
INTAKE = {
    "customer_name": "Runa Petrosyan",
    "kind": "laptop",
    "maker": "Ondervale",
    "model": "Marrow 17",
    "backup_done": "yes",
    "warranty": "over",
    "seal": "none",
    "limit_c": 95,
}
FOUND = {
    "cpu_die_width_mm": 15.0,
    "cpu_die_length_mm": 13.0,
    "gpu_die_width_mm": None,
    "gpu_die_length_mm": None,
    "cold_plate": "nickel",
    "aluminium_near": "no",
    "parts_exposed": "yes",
    "insulation": "coat",
}


def call(page, method, url, body=None):
    return page.evaluate(API, [method, url, body])


@pytest.fixture
def planned(page, logs):
    """A job of a demo model with a Before log and a plan, made aside so that the test begins at the bench."""

    def make(key, model="Marrow 17", found=FOUND):
        page.goto("/")
        page.get_by_text("Up next").wait_for()
        job = call(page, "POST", "/api/jobs", {**INTAKE, "model": model})["id"]
        version = call(page, "GET", f"/api/jobs/{job}/runs/before")["version"]
        recipe = {"version": version, "room_c": 24.0, "load_recipe": "even load", "fan_setting": "automatic"}
        call(page, "PUT", f"/api/jobs/{job}/runs/before", recipe)
        page.evaluate(
            """async ([job, text]) => {
              const { csrf_token } = await (await fetch('/api/session')).json();
              await fetch(`/api/jobs/${job}/runs/before/log?name=hot.csv&again=true`,
                { method: 'POST', body: text, headers: { 'X-CSRFToken': csrf_token } });
            }""",
            [job, logs[0].read_text()],
        )
        given = call(page, "GET", f"/api/jobs/{job}/plan")["found"]
        body = {"version": 0, "goal": "cooler", "found": {**given, **found}}
        version = call(page, "PUT", f"/api/jobs/{job}/plan", body)["version"]
        call(page, "POST", f"/api/jobs/{job}/plan/choice", {"version": version, "key": key})
        return job

    return make


def steps(page, job):
    return call(page, "GET", f"/api/jobs/{job}/bench")["steps"]


def closed(page, job):
    """The bench of a job once its closing has reached the server: the page goes on before."""
    for _ in range(100):
        view = call(page, "GET", f"/api/jobs/{job}/bench")
        if view["closed"]:
            return view
        page.wait_for_timeout(100)
    raise AssertionError("the closing has not reached the server in ten seconds")


def heading(page):
    return page.get_by_role("heading", level=1)


def look_at_the_three(page, click):
    """Boot, fans and temperatures: what has to be looked at before the power counts."""
    for check in ("Boots within 40 s", "Fans turn", "Temperatures are sane"):
        click(page.get_by_role("group", name=check).get_by_role("radio", name="fine"))


def test_a_whole_alloy_job_by_keyboard_with_the_line_down_and_a_second_tablet_watching(page, planned, new_context):
    job = planned("repaste:Quicksheen")
    page.goto(f"/jobs/{job}/open")
    expect(page.get_by_text("The map of this model is kept: 18 places come with it.")).to_be_visible()
    page.keyboard.press("Enter")
    expect(heading(page)).to_contain_text("Shut down, unplug")
    wanted = [s["text"] for s in steps(page, job)]
    assert any("first layer" in text for text in wanted)

    other = new_context().new_page()
    other.goto(f"/jobs/{job}/bench")
    expect(heading(other)).to_contain_text("Shut down, unplug")

    # Told too early: the rule stands, and leads to what comes first.
    page.keyboard.press("7")
    expect(heading(page)).to_have_text(re.compile("Lift the cooler"))
    tread(page)
    expect(page.get_by_role("alertdialog")).to_contain_text("It is not shut down and unplugged yet.")
    tread_on = page.get_by_role("button", name=re.compile("First: step 1"))
    expect(tread_on).to_be_visible()
    page.keyboard.press("Enter")

    pass_on(page, 620)
    for text in wanted[:5]:
        expect(heading(page)).to_have_text(text)
        tread(page)
    expect(heading(page)).to_have_text(wanted[5])
    # The other tablet follows within two seconds.
    expect(heading(other)).to_have_text(wanted[5], timeout=2000)

    page.context.set_offline(True)
    for text in wanted[5:9]:
        expect(heading(page)).to_have_text(text)
        tread(page, " ")
    expect(page.get_by_text("No connection. Go on: 4 steps wait on this tablet")).to_be_visible()
    expect(heading(other)).to_have_text(wanted[5])
    page.context.set_offline(False)
    expect(page.get_by_text("Synced")).to_be_visible(timeout=10_000)
    expect(heading(other)).to_have_text(wanted[9], timeout=4000)

    for text in wanted[9:]:
        expect(heading(page)).to_have_text(text)
        if page.get_by_role("timer").is_visible():
            page.keyboard.press("e")
            page.keyboard.press("1")
            expect(page.get_by_role("timer")).not_to_be_visible()
        if "First power-on" in text:
            look_at_the_three(page, lambda one: one.click())
        tread(page)
    expect(page.get_by_text("All 14 screws are back, nothing is left over")).to_be_visible()
    expect(
        page.get_by_role("heading", name="After: what did it gain?").or_(page.get_by_text("recipe is filled in")).first
    ).to_be_visible()

    view = closed(page, job)
    assert [s["outcome"]["how"] for s in view["steps"]] == ["done"] * len(wanted)
    assert [w["reason"] for w in view["waits"]] == ["Looked: the surface is dry", *["Touch-dry, by its data sheet"] * 2]
    assert view["breaches"] == []
    # What went on the die is noted and booked without another word.
    (item,) = call(page, "GET", f"/api/jobs/{job}/fit/items")["items"]
    assert (item["target"], item["kind"], item["product"]) == ("cpu_die", "gallium_alloy", "Quicksheen")
    assert item["lot_id"]


def six_minutes_later():
    return clock.server_now() + timedelta(minutes=6)


class Counted:
    """Hands that count: a key, a click, a field filled in, a file chosen are one action each."""

    def __init__(self, page):
        self.page, self.actions = page, 0

    def key(self, name):
        self.actions += 1
        self.page.keyboard.press(name)

    def tread(self):
        self.actions += 1
        tread(self.page, together=self.page.locator("[data-pedal]").get_attribute("data-hold") == "may")

    def click(self, name, role="button"):
        self.actions += 1
        self.page.get_by_role(role, name=name).first.click()

    def hold(self, name):
        self.actions += 1
        self.page.get_by_role("button", name=name).hover()
        self.page.mouse.down()
        pass_on(self.page, 1080)
        self.page.mouse.up()
        pass_on(self.page, 720)

    def fill(self, label, text):
        self.actions += 1
        self.page.get_by_label(label, exact=True).first.fill(text)

    def choose(self, group, label):
        self.actions += 1
        self.page.get_by_role("group", name=group).get_by_label(label).check(force=True)

    def file(self, path):
        self.actions += 1
        self.page.get_by_label(re.compile("Drop the (Before|After) log here")).set_input_files(path)


def five_minutes_pass(page, monkeypatch):
    """The alcohol dries by itself: the server's clock is set on, and the page is loaded anew."""
    expect(page.get_by_text("Synced")).to_be_visible()
    text = heading(page).inner_text()
    for module in (bench, bench_view, bench_work, taking):
        monkeypatch.setattr(module, "server_now", six_minutes_later)
    page.reload()
    expect(heading(page)).to_have_text(text)
    expect(page.get_by_role("timer")).not_to_be_visible()


def work_the_list(page, hands, monkeypatch, *, look_and_tell):
    """The whole list in as few presses as it takes: a hold wherever the button offers to tell several together.
    look_and_tell: what was looked at at the first power-on tells the step by a hold; else a tap and the step do."""
    job = page.url.split("/")[4]
    texts = [s["text"] for s in steps(page, job)]
    while page.locator("[data-pedal]").is_visible():
        now = heading(page).inner_text()
        if page.get_by_role("timer").is_visible():
            five_minutes_pass(page, monkeypatch)
        if "First power-on" in now:
            seen = re.compile("^Seen and fine: boots")
            if look_and_tell:
                hands.hold(seen)
            else:
                hands.click(seen)
                expect(page.get_by_role("group", name="Fans turn").get_by_label("fine")).to_be_checked()
                # A tap proves nothing: the step waits for its own second.
                expect(heading(page)).to_have_text(now)
                hands.tread()
        else:
            hands.tread()
        expect(heading(page)).not_to_have_text(now)
    return texts


def take_in(hands, *fields, known=""):
    hands.key("n")
    for label, text in fields:
        hands.fill(label, text)
    if known:
        expect(hands.page.get_by_text(known)).to_be_visible()
    hands.choose("Backup done", "Yes")
    hands.key("Enter")
    expect(hands.page.get_by_role("heading", name="Before: how hot does it come in?")).to_be_visible()


def measure(hands, log, room):
    hands.file(log)
    # The first log of a server waits for its reader, while other tests keep both processors busy.
    expect(hands.page.get_by_text(re.compile(f"^{log.name} · "))).to_be_visible(timeout=60_000)
    hands.fill("Room", room)
    hands.key("Enter")


def hand_over(page, hands):
    expect(page.get_by_role("heading", name="Improved")).to_be_visible()
    hands.key("Enter")
    expect(page.get_by_role("button", name=re.compile("^Hand .* over$"))).to_be_enabled()
    # Paste on a die that nobody measured has no price that is known: the whole one is typed.
    if not page.get_by_label("Price", exact=True).input_value():
        hands.fill("Price", "89")
    hands.click(re.compile("^Hand .* over$"))
    expect(page.get_by_text("Handed over", exact=True)).to_be_visible()


def test_a_first_job_takes_at_most_thirty_actions(page, logs, monkeypatch):
    page.goto("/")
    page.get_by_text("Up next").wait_for()
    hands = Counted(page)
    take_in(
        hands,
        ("Customer", "Odalys Brennmoor"),
        ("Maker", "Ondervale"),
        ("Model", "Fallow 15"),
        ("Symptom, in the customer's words", "Hot after a minute"),
    )
    measure(hands, logs[0], "24")
    expect(page.get_by_role("heading", name="Plan: what to do, and what it buys")).to_be_visible()
    hands.click(re.compile("Grey Heron 11"))
    hands.click("Choose and start work")
    expect(heading(page)).to_contain_text("Shut down, unplug")
    work_the_list(page, hands, monkeypatch, look_and_tell=False)
    # Nobody has mapped the screws of this model: they are counted before the device counts as closed.
    expect(page.get_by_text("Nobody has counted them")).to_be_visible()
    hands.key("Enter")
    expect(page.get_by_text("recipe is filled in")).to_be_visible()
    measure(hands, logs[1], "25")
    hand_over(page, hands)
    assert hands.actions <= 30, hands.actions


def test_a_job_on_a_kept_model_takes_at_most_twenty_two(page, logs, monkeypatch):
    page.goto("/")
    page.get_by_text("Up next").wait_for()
    hands = Counted(page)
    take_in(
        hands, ("Customer", "Tove Arkwright"), ("Model", "Marrow 15"), known="its map with 18 places comes with the job"
    )
    measure(hands, logs[0], "24")
    expect(page.get_by_role("heading", name="Plan: what to do, and what it buys")).to_be_visible()
    expect(page.get_by_role("button", name="Choose and start work")).to_be_enabled()
    # A second Enter right behind the one that came here decides nothing.
    page.keyboard.press("Enter")
    pass_on(page, 900)
    expect(page.get_by_role("button", name="Choose and start work")).to_be_visible()
    hands.key("Enter")
    expect(heading(page)).to_contain_text("Shut down, unplug")
    texts = work_the_list(page, hands, monkeypatch, look_and_tell=True)
    # Every mapped screw is back: the last step has closed the bench work.
    expect(page.get_by_text(re.compile("All 14 screws are back, nothing is left over"))).to_be_visible()
    expect(page.get_by_text("recipe is filled in")).to_be_visible()
    measure(hands, logs[1], "25")
    hand_over(page, hands)
    assert hands.actions <= 22, hands.actions
    # Told together or one by one: each step stands in the log as itself.
    view = closed(page, page.url.split("/")[4])
    assert [s["text"] for s in view["steps"] if s["outcome"]["how"] == "done"] == texts


def test_a_map_is_drawn_kept_for_the_model_and_offered_on_the_next_job(page, planned):
    job = planned("clean", model="Heron 13 trial")
    page.goto(f"/jobs/{job}/open")
    page.get_by_role("button", name="Start work").click()
    expect(heading(page)).to_contain_text("Shut down, unplug")
    page.goto(f"/jobs/{job}/open")
    page.get_by_role("radio", name="Add screws").check()
    page.get_by_label("Length").fill("4")
    map_ = page.get_by_role("group", name=re.compile("Map with"))
    for x, y in ((80, 60), (400, 60), (400, 240), (80, 240)):
        map_.click(position={"x": x, "y": y})
    page.get_by_role("radio", name="Put plugs").check()
    page.get_by_label("Plug of the").select_option("battery")
    map_.click(position={"x": 240, "y": 200})
    page.get_by_role("radio", name="Add pads").check()
    page.get_by_label("Gap", exact=True).fill("1.3")
    page.get_by_label("Pad thickness").fill("1.5")
    map_.click(position={"x": 160, "y": 140})
    # A pad is looked at, not taken out: its step lays it.
    chosen = page.get_by_role("group", name="Chosen place")
    expect(chosen).to_contain_text("pad on memory, 1.5 mm over a gap of 1.3 mm")
    expect(chosen.get_by_role("button", name="Out")).not_to_be_visible()
    expect(page.get_by_label("Ledger")).to_contain_text("0 of 4 screws out")
    page.get_by_role("radio", name="Count").check()
    page.get_by_label("Order").select_option("cover:tighten")
    expect(page.get_by_text("First round: half the turns each, in order")).to_be_visible()
    expect(page.get_by_text("Take the 4 screws of the cover out")).to_be_visible()
    page.goto(f"/jobs/{job}/tray")
    expect(page.get_by_text("A · 4 screws")).to_be_visible()
    page.goto(f"/jobs/{job}/close")
    page.get_by_role("button", name="Save to the model").click()
    expect(page.get_by_text(re.compile("Kept for Heron 13 trial: 6 places"))).to_be_visible()
    page.get_by_role("link", name="Open the model").click()
    expect(page.get_by_role("heading", name="Heron 13 trial")).to_be_visible()
    with page.expect_download() as download:
        page.get_by_role("link", name="Export as JSON").click()
    sheet = json.loads(download.value.path().read_text())
    assert len(sheet["places"]) == 6
    assert [(p["gap_mm"], p["thickness_mm"]) for p in sheet["places"] if p["kind"] == "pad"] == [(1.3, 1.5)]
    assert "Petrosyan" not in json.dumps(sheet)
    again = planned("clean", model="Heron 13 trial")
    page.goto(f"/jobs/{again}/open")
    expect(page.get_by_text("The map of this model is kept: 6 places come with it.")).to_be_visible()


def test_a_held_pedal_and_a_pressed_button_prove_nothing(page, planned):
    job = planned("repaste:Grey Heron 11")
    call(page, "POST", f"/api/jobs/{job}/bench/list", {"with_model": True})
    page.goto(f"/jobs/{job}/bench")
    wanted = [s["text"] for s in steps(page, job)]
    expect(heading(page)).to_have_text(wanted[0])
    for _ in range(30):
        page.keyboard.down("Enter")  # held: the system repeats the key
    page.keyboard.up("Enter")
    pass_on(page, 700)
    expect(heading(page)).to_have_text(wanted[1])
    # A tap on Take back, then the foot: the step is done again, nothing else is taken back.
    page.get_by_role("button", name=re.compile("Undo")).click()
    expect(heading(page)).to_have_text(wanted[0])
    pass_on(page, 620)
    tread(page, " ")
    expect(heading(page)).to_have_text(wanted[1])
    # A hold tells what the button names: the plain steps up to the battery, never what lies behind; one undo for all.
    expect(
        page.get_by_role(
            "button",
            name=re.compile("or hold a second: 3 steps, up to “Battery plug off, then hold the power button for 10 s”"),
        )
    ).to_be_visible()
    tread(page, together=True)
    battery = next(i for i, text in enumerate(wanted) if text.startswith("Battery plug off"))
    expect(heading(page)).to_have_text(wanted[battery + 1])
    page.get_by_role("button", name=re.compile("Undo")).first.click()
    expect(heading(page)).to_have_text(wanted[1])
    pass_on(page, 620)
    # A tap on the ruler shows a step; the foot acts on that one.
    for before in range(1, battery):
        expect(heading(page)).to_have_text(wanted[before])
        tread(page)
    expect(heading(page)).to_have_text("Battery plug off, then hold the power button for 10 s")
    page.keyboard.press("Enter")
    pass_on(page, 700)
    expect(heading(page)).to_have_text("Battery plug off, then hold the power button for 10 s")
    expect(page.get_by_role("button", name=re.compile("Hold a second"))).to_be_visible()
    tread(page)
    expect(heading(page)).to_have_text(wanted[battery + 1])
    page.get_by_role("button", name=re.compile("^All steps")).click()
    page.get_by_role("button", name=re.compile("^Step 1:")).click()
    tread(page)
    expect(heading(page)).to_have_text(wanted[battery + 1])
    assert [s["outcome"] is not None for s in steps(page, job)] == [i <= battery for i in range(len(wanted))]
    page.keyboard.press("?")
    expect(page.get_by_role("heading", name="Keys on this page")).to_be_visible()


def test_a_photo_is_kept_with_its_step_and_what_is_none_is_put_aside(page, planned, tmp_path):
    job = planned("clean")
    call(page, "POST", f"/api/jobs/{job}/bench/list", {"with_model": True})
    page.goto(f"/jobs/{job}/bench")
    expect(heading(page)).to_contain_text("Shut down")
    page.keyboard.press("3")
    expect(heading(page)).to_contain_text("Lift the cover")
    picture = io.BytesIO()
    Image.new("RGB", (640, 480), "grey").save(picture, "JPEG")
    field = page.get_by_label("Photo of this step")
    field.set_input_files({"name": "first.jpg", "mimeType": "image/jpeg", "buffer": picture.getvalue()})
    expect(page.get_by_alt_text("Taken at this step")).to_be_visible()
    field.set_input_files({"name": "film.jpg", "mimeType": "image/jpeg", "buffer": b"no picture at all"})
    expect(page.get_by_text("Not taken: This is no photo that can be read.")).to_be_visible()
    page.get_by_role("button", name="Seen, put it aside").click()
    expect(page.get_by_text("Not taken")).not_to_be_visible()


def test_a_clock_survives_a_reload_and_stands_on_the_bench(page, planned):
    job = planned("repaste:Grey Heron 11")
    call(page, "POST", f"/api/jobs/{job}/bench/list", {"with_model": True})
    page.goto(f"/jobs/{job}/bench")
    for step in steps(page, job):
        expect(heading(page)).to_have_text(step["text"])
        tread(page)
        if step["id"] == "cleaned":
            break
    clock_ = page.locator(".clock").filter(has_text="Alcohol dries")
    expect(clock_).to_contain_text(re.compile(r"[45]:\d\d"))
    page.reload()
    expect(clock_).to_contain_text(re.compile(r"[45]:\d\d"))
    page.goto("/")
    number = call(page, "GET", f"/api/jobs/{job}")["number"]
    row = page.get_by_label("Waits that run").get_by_role("link", name=re.compile(str(number)))
    expect(row).to_contain_text("Alcohol dries")
    expect(row).to_contain_text("left")


def test_a_finding_changes_the_plan_and_bars_the_alloy(page, planned):
    job = planned("repaste:Quicksheen")
    call(page, "POST", f"/api/jobs/{job}/bench/list", {"with_model": True})
    page.goto(f"/jobs/{job}/clean")
    expect(page.get_by_text("Planned: clean, Quicksheen.")).to_be_visible()
    page.get_by_role("tab", name="Cold plate").click()
    page.get_by_role("group", name="Cold plate").get_by_text("Aluminium", exact=True).click()
    expect(page.get_by_text("Aluminium seen: alloy barred.")).to_be_visible()
    expect(page.get_by_role("link", name="Decide anew in Plan")).to_be_visible()
    page.get_by_role("button", name=re.compile("Undo: finding")).click()
    expect(page.get_by_role("link", name="See the plan")).to_be_visible()
