### page-sign-in

sign-in-set-up-your-shop = Set up your shop
sign-in-vivid-owl = Vivid Owl
sign-in-this-installation-empty-you = This installation is empty. You become its first owner.
sign-in-hot-in-cool-out = Hot in, cool out, and proof of it.
sign-in-code-from-terminal = Code from the terminal
sign-in-name-shop = Name of the shop
sign-in-your-name = Your name
sign-in-login = Login
sign-in-password = Password
sign-in-at-least-characters = At least 10 characters
sign-in-open-shop = Open the shop
sign-in-sign-in = Sign in
sign-in-enter-demo-shop = Enter the demo shop
pair-title = Pairing this tablet
pair-under-way = One moment …
pair-sign-in = Sign in by password
