"""What is put between die and cooler, how much of it, how cut, how long it lasts. It knows no plan and no job."""
