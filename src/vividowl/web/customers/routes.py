"""Customers: found, taken out whole, erased."""

from __future__ import annotations

import uuid
from typing import Annotated

from flask import Response
from pydantic import BaseModel, Field

from vividowl.service.clock import done_day
from vividowl.service.customers import erasing, kept
from vividowl.service.customers.kept import CustomerView
from vividowl.web.access import access, actor, workshop
from vividowl.web.blueprint import blueprint
from vividowl.web.customers.schemas import CustomerFoundOut, CustomerJobOut, CustomerOut, CustomersOut, EraseIn
from vividowl.web.downloads import download
from vividowl.web.idempotency import idempotent

api = blueprint("customers", __name__, url_prefix="/api/customers")


class CustomerPath(BaseModel):
    customer_id: uuid.UUID


class FindQuery(BaseModel):
    find: Annotated[str, Field(max_length=80, pattern=r"^[^\x00]*$")] = ""


def _out(view: CustomerView) -> CustomerOut:
    customer = view.customer
    return CustomerOut(
        id=customer.id,
        name=customer.name,
        contact=customer.contact,
        erased_at=customer.erased_at,
        devices=len(view.devices),
        jobs=[
            CustomerJobOut(
                id=job.id,
                number=job.number,
                device=f"{job.maker} {job.model}".strip(),
                day=done_day(view.shop, job),
                open=job.handed_over_at is None,
            )
            for job in view.jobs
        ],
    )


@api.get("", responses={200: CustomersOut}, operation_id="findCustomers")
@access("owner")
def find(query: FindQuery) -> CustomersOut:
    """Customers by parts of their name or contact, the latest first."""
    found = kept.find_customers(workshop(), actor(), query.find)
    own = ("id", "name", "contact", "erased_at")
    return CustomersOut(
        customers=[
            CustomerFoundOut(**{n: getattr(f.customer, n) for n in own}, jobs=f.jobs, last_on=f.last_on) for f in found
        ]
    )


@api.get("/<uuid:customer_id>", responses={200: CustomerOut}, operation_id="getCustomer")
@access("owner")
def get_customer(path: CustomerPath) -> CustomerOut:
    """A customer with what is kept of them."""
    return _out(kept.get_customer(workshop(), actor(), path.customer_id))


@api.get(
    "/<uuid:customer_id>/data.zip",
    responses={200: {"content": {"application/zip": {}}}},
    operation_id="customerData",
)
@access("owner")
def data(path: CustomerPath) -> Response:
    """All that is kept of a customer, as a file."""
    file, name = kept.customer_file(workshop(), actor(), path.customer_id)
    return download(file, "application/zip", name)


@api.post("/<uuid:customer_id>/erase", responses={200: CustomerOut}, operation_id="eraseCustomer")
@access("owner")
@idempotent
def erase(path: CustomerPath, body: EraseIn) -> CustomerOut:
    """Forget who a customer was. It cannot be undone."""
    erasing.erase(workshop(), actor(), path.customer_id, body.name)
    return _out(kept.get_customer(workshop(), actor(), path.customer_id))
