"""The shop's own certificate authority, and the certificate that the server shows to tablets.

The authority is made once and stays; the certificate is renewed by itself when it runs out soon, or when the shop is
reached under other names.
"""

from __future__ import annotations

import contextlib
import ipaddress
import os
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from pathlib import Path

from cryptography import x509
from cryptography.exceptions import InvalidSignature
from cryptography.hazmat.primitives import hashes, serialization
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.x509.oid import ExtendedKeyUsageOID, NameOID

AUTHORITY_YEARS = 10
# Tablets refuse a certificate of a private authority that is good for longer than 825 days; common practice, no source.
CERTIFICATE_DAYS, RENEW_DAYS = 397, 30
_BACK = timedelta(hours=26)  # a tablet whose clock is a day behind takes it too

# What the authority may speak for: a tablet that trusts it trusts it for addresses of a shop's own network alone.
# Private addresses: RFC 1918, 3927, 4193, 4291; names: RFC 6762, 8375, ICANN's "internal", and what routers use.
NETWORKS = ("10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "169.254.0.0/16", "127.0.0.0/8", "fc00::/7", "fe80::/10")
ENDINGS = ("local", "lan", "home.arpa", "internal", "localhost")

Key = ec.EllipticCurvePrivateKey


@dataclass(frozen=True)
class Identity:
    """Files of the server's certificate with its key, and the authority in the form that tablets install."""

    certificate: Path
    key: Path
    authority: bytes
    fingerprint: str


def _keep(path: Path, data: bytes) -> None:
    """Write a file that only its owner can read, whole or not at all."""
    path.parent.mkdir(parents=True, exist_ok=True)
    beside = path.with_suffix(".new")
    with contextlib.suppress(FileNotFoundError):
        beside.unlink()
    handle = os.open(beside, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600)
    with os.fdopen(handle, "wb") as out:
        out.write(data)
    beside.replace(path)


def _pem(key: Key) -> bytes:
    return key.private_bytes(
        serialization.Encoding.PEM, serialization.PrivateFormat.PKCS8, serialization.NoEncryption()
    )


def _usage(*, signs_others: bool) -> x509.KeyUsage:
    return x509.KeyUsage(
        digital_signature=not signs_others,
        content_commitment=False,
        key_encipherment=False,
        data_encipherment=False,
        key_agreement=False,
        key_cert_sign=signs_others,
        crl_sign=signs_others,
        encipher_only=False,
        decipher_only=False,
    )


def _begun(name: x509.Name, issuer: x509.Name, public: ec.EllipticCurvePublicKey, days: int) -> x509.CertificateBuilder:
    now = datetime.now(UTC)
    return (
        x509.CertificateBuilder()
        .subject_name(name)
        .issuer_name(issuer)
        .public_key(public)
        .serial_number(x509.random_serial_number())
        .not_valid_before(now - _BACK)
        .not_valid_after(now + timedelta(days=days))
        .add_extension(x509.SubjectKeyIdentifier.from_public_key(public), critical=False)
    )


def _authority(folder: Path) -> tuple[x509.Certificate, Key]:
    """The authority, made when there is none. One key for both files, so that none is of another authority."""
    kept = folder / "authority.pem"
    if kept.exists():
        data = kept.read_bytes()
        key = serialization.load_pem_private_key(data, None)
        if not isinstance(key, ec.EllipticCurvePrivateKey):
            raise ValueError(f"{kept} holds another kind of key.")
        return x509.load_pem_x509_certificate(data), key
    key = ec.generate_private_key(ec.SECP256R1())
    number = os.urandom(3).hex()
    name = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, f"Vivid Owl of this shop, {number}")])
    public = key.public_key()
    made = (
        _begun(name, name, public, 365 * AUTHORITY_YEARS)
        .add_extension(x509.BasicConstraints(ca=True, path_length=0), critical=True)
        .add_extension(_usage(signs_others=True), critical=True)
        .add_extension(
            x509.NameConstraints(
                [
                    *(x509.IPAddress(ipaddress.ip_network(n)) for n in NETWORKS),
                    *(x509.DNSName(ending) for ending in ENDINGS),
                ],
                None,
            ),
            critical=True,
        )
        .sign(key, hashes.SHA256())
    )
    _keep(kept, made.public_bytes(serialization.Encoding.PEM) + _pem(key))
    return made, key


def speaks_for(host: str) -> bool:
    """Whether the authority may speak for this name or address."""
    try:
        address = ipaddress.ip_address(host)
    except ValueError:
        return any(host == ending or host.endswith(f".{ending}") for ending in ENDINGS)
    networks = (ipaddress.ip_network(n) for n in NETWORKS)
    return any(address in n for n in networks if n.version == address.version)


def _alternative(host: str) -> x509.GeneralName:
    try:
        return x509.IPAddress(ipaddress.ip_address(host))
    except ValueError:
        return x509.DNSName(host)


def _fits(path: Path, authority: x509.Certificate, wanted: Sequence[x509.GeneralName]) -> bool:
    try:
        found = x509.load_pem_x509_certificate(path.read_bytes())
        found.verify_directly_issued_by(authority)
        names = list(found.extensions.get_extension_for_class(x509.SubjectAlternativeName).value)
    except (OSError, ValueError, TypeError, InvalidSignature, x509.ExtensionNotFound):
        return False
    soon = datetime.now(UTC) + timedelta(days=RENEW_DAYS)
    return found.not_valid_after_utc > soon and sorted(map(repr, names)) == sorted(map(repr, wanted))


def identity(folder: Path, hosts: Sequence[str]) -> Identity:
    """The server's certificate for these names and addresses, made or renewed where that is needed."""
    authority, authority_key = _authority(folder)
    certificate, key_path = folder / "server.pem", folder / "server.key"
    wanted = [_alternative(host) for host in hosts]
    if not key_path.exists() or not _fits(certificate, authority, wanted):
        key = ec.generate_private_key(ec.SECP256R1())
        name = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, "Vivid Owl")])
        made = (
            _begun(name, authority.subject, key.public_key(), CERTIFICATE_DAYS)
            .add_extension(x509.BasicConstraints(ca=False, path_length=None), critical=True)
            .add_extension(_usage(signs_others=False), critical=True)
            .add_extension(x509.ExtendedKeyUsage([ExtendedKeyUsageOID.SERVER_AUTH]), critical=False)
            .add_extension(x509.SubjectAlternativeName(wanted), critical=False)
            .add_extension(
                x509.AuthorityKeyIdentifier.from_issuer_public_key(authority_key.public_key()), critical=False
            )
            .sign(authority_key, hashes.SHA256())
        )
        _keep(key_path, _pem(key))
        chain = [made, authority]
        _keep(certificate, b"".join(c.public_bytes(serialization.Encoding.PEM) for c in chain))
    told = authority.fingerprint(hashes.SHA256()).hex().upper()
    return Identity(
        certificate,
        key_path,
        authority.public_bytes(serialization.Encoding.DER),
        ":".join(told[i : i + 2] for i in range(0, len(told), 2)),
    )
