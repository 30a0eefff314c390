export default designRoutes.get()
