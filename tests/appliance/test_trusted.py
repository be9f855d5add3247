"""A browser over the shop's own HTTPS: one that trusts the authority gets what a tablet needs, another one does not."""

import base64
import hashlib
import shutil

import pytest
from cryptography import x509
from cryptography.hazmat.primitives.serialization import Encoding, PublicFormat
from playwright.sync_api import Error
from tests.appliance.test_lan import network, tls  # noqa: F401 - fixtures

NEEDS = """() => ({
  secure: isSecureContext, worker: 'serviceWorker' in navigator, awake: 'wakeLock' in navigator,
  sound: !!navigator.mediaDevices?.getUserMedia,
})"""


@pytest.fixture
def profile(playwright, tmp_path):
    """Opens a browser with a profile of its own, which trusts an authority or does not."""
    opened = []

    def make(name, *more):
        shell = shutil.which("chromium-headless-shell")
        names = "--host-resolver-rules=MAP bench.local 127.0.0.1, MAP * ~NOTFOUND, EXCLUDE 127.0.0.1"
        args = [names, "--disable-gpu", "--disable-background-networking", "--no-first-run", *more]
        opened.append(
            playwright.chromium.launch_persistent_context(str(tmp_path / name), executable_path=shell, args=args)
        )
        return opened[-1].new_page()

    yield make
    for context in opened:
        context.close()


def test_a_browser_that_trusts_the_authority_gets_what_a_tablet_needs(network, profile):  # noqa: F811
    address = f"https://bench.local:{network.https}/"
    root = x509.load_der_x509_certificate(network.identity.authority)
    key = root.public_key().public_bytes(Encoding.DER, PublicFormat.SubjectPublicKeyInfo)
    trusted = base64.b64encode(hashlib.sha256(key).digest()).decode()
    page = profile("trusting", f"--ignore-certificate-errors-spki-list={trusted}")
    page.goto(address)
    page.get_by_role("button", name="Sign in").wait_for()
    assert page.evaluate(NEEDS) == dict.fromkeys(("secure", "worker", "awake", "sound"), True)
    state = page.evaluate("navigator.serviceWorker.register('/sw.js').then((found) => !!found)")
    assert state is True
    stranger = profile("stranger")
    with pytest.raises(Error, match="ERR_CERT_AUTHORITY_INVALID"):
        stranger.goto(address)
