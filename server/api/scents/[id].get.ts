export default scentRoutes.get()
